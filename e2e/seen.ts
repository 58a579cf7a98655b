import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';

type Seen = Awaited<ReturnType<AxeBuilder['analyze']>>;

/** Waits until nothing moves any more: what opens or closes is open or closed, and is drawn so. */
async function atRest(page: Page): Promise<void> {
    await page.evaluate(async () => {
        const frame = (): Promise<unknown> => new Promise((done) => requestAnimationFrame(done));
        const ending = (): Animation[] => document.getAnimations().filter((one) => one.playState === 'running' && one.effect?.getComputedTiming().endTime !== Infinity);
        do {
            await Promise.allSettled(ending().map((one) => one.finished));
            await frame();
            await frame();
        } while (ending().length > 0);
    });
}

/** What an open menu or dialog covers is out of reach until it closes: its size is not judged. */
async function uncovered(page: Page, said: Seen): Promise<Seen['violations']> {
    const reached = await page.evaluate(
        (targets) => {
            const open = Array.from(document.querySelectorAll('.v-menu.v-overlay--active, .v-dialog.v-overlay--active'));
            return targets.filter((target) => open.length === 0 || open.some((one) => one.contains(document.querySelector(target))));
        },
        said.violations.flatMap((one) => one.nodes.map((node) => node.target.join(' '))),
    );
    return said.violations.map((one) => (one.id === 'target-size' ? { ...one, nodes: one.nodes.filter((node) => reached.includes(node.target.join(' '))) } : one)).filter((one) => one.nodes.length > 0);
}

/** What axe says of a page against WCAG 2.2 AA in its present state. */
async function seen(page: Page): Promise<Seen> {
    await atRest(page);
    // Layers that lie over a button's words, clear as they are, would keep axe from judging them.
    await page.evaluate(() => {
        const sheet = new CSSStyleSheet();
        sheet.replaceSync('.v-btn__overlay, .v-btn__underlay, .v-field__overlay, .v-field__outline { display: none !important; }');
        document.adoptedStyleSheets.push(sheet);
    });
    // What changes while axe reads the page changes at once: a button that fades from one colour to another has neither.
    await page.evaluate(() => {
        const still = new CSSStyleSheet();
        still.replaceSync('*, *::before, *::after { transition: none !important; }');
        document.adoptedStyleSheets.push(still);
        Object.assign(window, { leaveStill: () => (document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== still)) });
    });
    // In one page, since none has frames of other origins: else the findings are put together in a page of their own, which takes as long again.
    const said = await new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations', 'incomplete'] }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
    await page.evaluate(() => {
        (window as unknown as { leaveStill: () => void }).leaveStill();
    });
    return { ...said, violations: await uncovered(page, said) };
}

const told = (said: Seen): string[] => said.violations.map((one) => `${one.id}: ${one.nodes.map((node) => `${node.target.join(' ')} (${node.any[0]?.message ?? node.all[0]?.message ?? ''})`).slice(0, 3).join(' | ')}`);

/** Buttons whose words do not fit into them. */
async function spilled(page: Page): Promise<string[]> {
    return page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>('.v-btn')]
            .filter((one) => one.getClientRects().length > 0 && (one.querySelector<HTMLElement>('.v-btn__content')?.scrollWidth ?? 0) > one.clientWidth + 1)
            .map((one) => `the button "${one.innerText}" is wider than its ${one.clientWidth} px`),
    );
}

/** Faults in whatever state a page is. */
export async function faultsSeen(page: Page): Promise<string[]> {
    return [...told(await seen(page)), ...(await spilled(page))];
}

/** What an eye sees at once and axe does not judge: boxes that count otherwise than all others, fields that are higher than others, names cut to next to nothing. */
async function unsightly(page: Page): Promise<string[]> {
    return page.evaluate(() => {
        const shown = (all: string): HTMLElement[] => [...document.querySelectorAll<HTMLElement>(all)].filter((one) => one.getClientRects().length > 0);
        const called = (one: HTMLElement): string => `${one.tagName.toLowerCase()}.${[...one.classList].join('.')} "${one.innerText.slice(0, 30)}"`;
        const boxes = shown('#app *').filter((one) => !(one instanceof SVGElement) && getComputedStyle(one).boxSizing !== 'border-box').slice(0, 3).map((one) => `${called(one)} is boxed by its content`);
        const fields = shown('.v-text-field .v-field--variant-outlined').filter((one) => one.querySelector('.v-chip, textarea') === null && one.offsetHeight > 41).map((one) => `${called(one)} is ${one.offsetHeight} px high`);
        const cut = shown('#app button, #app span, #app small, #app strong').filter((one) => getComputedStyle(one).textOverflow === 'ellipsis' && one.scrollWidth > one.clientWidth + 1 && one.clientWidth < 48).map((one) => `${called(one)} is cut to ${one.clientWidth} px`);
        const clipped = shown('main .v-label, main .v-select__selection-text, main .v-btn__content').filter((one) => one.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && getComputedStyle(one).overflowX !== 'visible' && one.scrollWidth > one.clientWidth + 1).map((one) => `${called(one)} is cut to ${one.clientWidth} of ${one.scrollWidth} px`);

        return [...boxes, ...fields, ...cut, ...clipped];
    });
}

/** Fields whose focus moves what lies around them: what is pressed next would move away under the pointer. */
export async function restless(page: Page): Promise<string[]> {
    return page.evaluate(async () => {
        const frame = (): Promise<unknown> => new Promise((done) => requestAnimationFrame(done));
        const shown = (all: string): HTMLElement[] => [...document.querySelectorAll<HTMLElement>(all)].filter((one) => one.getClientRects().length > 0);
        // Told from the page's top: a field that scrolls into sight moves nothing.
        const lying = (): string => {
            const top = document.querySelector('main')?.getBoundingClientRect().top ?? 0;
            return shown('main button, main input, main h2').map((one) => Math.round(one.getBoundingClientRect().top - top)).join();
        };
        const moves = async (one: HTMLElement): Promise<boolean> => {
            (document.activeElement as HTMLElement | null)?.blur();
            await frame();
            const before = lying();
            one.focus({ preventScroll: true });
            await frame();
            await frame();

            return lying() !== before;
        };
        const moved: string[] = [];
        for (const one of shown('main input, main textarea')) {
            // Once may be an answer that came just then.
            if ((await moves(one)) && (await moves(one))) {
                moved.push(`the focus of "${(one as HTMLInputElement).labels?.[0]?.innerText || one.ariaLabel || one.outerHTML.slice(0, 120)}" moves what lies around it`);
            }
        }
        (document.activeElement as HTMLElement | null)?.blur();

        return moved;
    });
}

/** Faults of a page as it opens, and buttons whose contrast could not be judged. */
export async function faultsOfWhole(page: Page): Promise<string[]> {
    const said = await seen(page);
    const unjudged = said.incomplete.filter((one) => one.id === 'color-contrast').flatMap((one) => one.nodes.map((node) => node.target.join(' '))).filter((target) => target.includes('.v-btn'));
    return [...told(said), ...unjudged.map((target) => `contrast not judged: ${target}`), ...(await unsightly(page)), ...(await spilled(page))];
}
