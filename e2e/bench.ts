import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { faultsSeen } from './seen';

/** A page on which any error of the browser's, the content policy's among them, fails the test, and what axe finds in the state in which it is left. */
export const test = base.extend<{ page: Page; quiet: { allow: RegExp[] } }>({
    quiet: [async ({}, use) => use({ allow: [] }), { scope: 'test' }],
    page: async ({ page, quiet }, use, info) => {
        const errors: string[] = [];
        page.on('pageerror', (error) => errors.push(error.message));
        page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
        await use(page);
        expect(errors.filter((text) => !quiet.allow.some((allowed) => allowed.test(text)))).toEqual([]);
        if (info.status === 'passed' && !page.isClosed() && page.url().startsWith('http')) {
            expect(await faultsSeen(page), `axe, as the test leaves ${new URL(page.url()).pathname}`).toEqual([]);
        }
    },
});

export { expect };

/** Starts a job by the brief and answers its address. */
export async function newJob(page: Page, title: string, area = 'Square chest, 12 × 12 in'): Promise<string> {
    await page.goto('/');
    await page.getByRole('link', { name: 'New job' }).click();
    await page.getByLabel('Title').fill(title);
    await choose(page, 'Print area', area);
    await page.getByRole('button', { name: 'Start on the bench' }).click();
    await expect(page.getByRole('heading', { name: 'Build sheet' })).toBeVisible();
    return new URL(page.url()).pathname;
}

/** Opens a field of a form and takes one of what it offers. */
export async function choose(within: Page | Locator, field: string, option: string): Promise<void> {
    await within.getByRole('combobox', { name: field, exact: true }).click({ delay: 70, force: true });
    const page = 'page' in within ? within.page() : within;
    await page.getByRole('option', { name: option, exact: true }).click({ delay: 70 });
}

/** Adds a line by typing its verb. */
export async function addLine(page: Page, typed: string, verb: string | RegExp): Promise<void> {
    await page.getByRole('button', { name: 'Add a line' }).click();
    await page.getByRole('combobox', { name: /What next/ }).fill(typed);
    await page.getByRole('option', { name: verb }).first().click();
    await saved(page);
}

/** Asked for at each frame: an assertion would ask again after up to a second. */
export async function saved(page: Page): Promise<void> {
    await page.waitForFunction(() => document.querySelector('.top-job [role=status]')?.textContent?.trim() === 'saved');
}

/** Types into a token as a seller does and waits until it is saved. */
export async function setToken(token: Locator, text: string): Promise<void> {
    await token.fill(text);
    const save = token.page().waitForResponse((response) => response.url().endsWith('/artwork') && response.request().method() === 'PUT');
    await token.press('Enter');
    await save;
    await saved(token.page());
}

/** Unfolds the gauges that hold. */
export async function showAllGauges(page: Page): Promise<void> {
    await page.getByRole('button', { name: /^show the \d+ that hold$/ }).click();
}

/** The lines of one layer, by what it is called. */
export function layer(page: Page, called: string): Locator {
    return page.locator('[data-layer]').filter({ has: page.getByRole('checkbox', { name: `${called}: line is on`, exact: true }) });
}

/** The words of all type on the sheet. */
export function words(page: Page): Locator {
    return page.getByRole('textbox', { name: 'words', exact: true });
}

/** Opens a line's own menu and takes one of its actions. */
export async function act(page: Page, line: string | RegExp, action: 'Move earlier' | 'Move later' | 'Copy' | 'Take out'): Promise<void> {
    await page.getByRole('button', { name: typeof line === 'string' ? `${line}: more` : line, exact: true }).first().click();
    await page.getByRole('menuitem', { name: new RegExp(`^${action}`) }).click();
    await saved(page);
}

/** Where a place of the sheet, in inches, is on the screen. */
export async function onSheet(page: Page, x: number, y: number): Promise<{ x: number; y: number }> {
    return page.locator('svg.peg-view').evaluate(
        (svg, at) => {
            const matrix = (svg as SVGSVGElement).getScreenCTM();
            const point = new DOMPoint(at.x, at.y).matrixTransform(matrix ?? undefined);
            return { x: point.x, y: point.y };
        },
        { x, y },
    );
}

/** The sheet as the server holds it. */
export async function artworkOf(page: Page, path: string): Promise<{ layers: { id: string; placement: { x: number; y: number; width: number; turn: number }; on: boolean; source: { kind: string; text?: string }; follows?: unknown }[] }> {
    const id = /jobs\/(\d+)/.exec(path)?.[1];
    const answer = await page.request.get(`/api/jobs/${id}`);
    return ((await answer.json()) as { artwork: never }).artwork;
}

/** Hands a file to the shelf under a licence of that name. */
export async function offer(page: Page, file: string, licence: string): Promise<void> {
    if (new URL(page.url(), 'http://none').pathname !== '/shelf') {
        await page.goto('/shelf');
    }
    const head = page.getByRole('button', { name: 'Put fonts and pictures on the shelf' });
    if ((await head.getAttribute('aria-expanded')) !== 'true') {
        await head.click({ delay: 70 });
    }
    await page.locator('.shelf-upload input[type=file]').first().setInputFiles(file);
    const field = page.getByRole('combobox', { name: /^Licence: one of/ });
    if ((await field.inputValue()) === '') {
        await field.fill(licence);
        await field.press('Tab');
    }
    await page.getByLabel('I hold the right to use them').check();
    await page.getByRole('button', { name: 'Put it on the shelf' }).click({ delay: 70 });
}
