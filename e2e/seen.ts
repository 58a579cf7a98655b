import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';

type Seen = Awaited<ReturnType<AxeBuilder['analyze']>>;

/** What axe says of a page against WCAG 2.2 AA in its present state. */
async function seen(page: Page): Promise<Seen> {
    // Layers that lie over a button's words, clear as they are, would keep axe from judging them.
    await page.evaluate(() => {
        const sheet = new CSSStyleSheet();
        sheet.replaceSync('.v-btn__overlay, .v-btn__underlay, .v-field__overlay, .v-field__outline { display: none !important; }');
        document.adoptedStyleSheets.push(sheet);
    });
    return new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
}

const told = (said: Seen): string[] => said.violations.map((one) => `${one.id}: ${one.nodes.map((node) => `${node.target.join(' ')} (${node.any[0]?.message ?? node.all[0]?.message ?? ''})`).slice(0, 3).join(' | ')}`);

/** Faults in whatever state a page is. */
export async function faultsSeen(page: Page): Promise<string[]> {
    return told(await seen(page));
}

/** Faults of a page as it opens, and buttons whose contrast could not be judged. */
export async function faultsOfWhole(page: Page): Promise<string[]> {
    const said = await seen(page);
    const unjudged = said.incomplete.filter((one) => one.id === 'color-contrast').flatMap((one) => one.nodes.map((node) => node.target.join(' '))).filter((target) => target.includes('.v-btn'));
    return [...told(said), ...unjudged.map((target) => `contrast not judged: ${target}`)];
}
