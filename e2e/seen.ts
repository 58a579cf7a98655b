import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** What axe finds against WCAG 2.2 AA in the present state of a page, and buttons whose contrast it could not judge. */
export async function faultsSeen(page: Page): Promise<string[]> {
    // Layers that lie over a button's words, clear as they are, would keep axe from judging them.
    await page.evaluate(() => {
        const sheet = new CSSStyleSheet();
        sheet.replaceSync('.v-btn__overlay, .v-btn__underlay, .v-field__overlay, .v-field__outline { display: none !important; }');
        document.adoptedStyleSheets.push(sheet);
    });
    const { violations, incomplete } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
    const unjudged = incomplete.filter((one) => one.id === 'color-contrast').flatMap((one) => one.nodes.map((node) => node.target.join(' '))).filter((target) => target.includes('.v-btn'));
    return [
        ...violations.map((one) => `${one.id}: ${one.nodes.map((node) => `${node.target.join(' ')} (${node.any[0]?.message ?? node.all[0]?.message ?? ''})`).slice(0, 3).join(' | ')}`),
        ...unjudged.map((target) => `contrast not judged: ${target}`),
    ];
}
