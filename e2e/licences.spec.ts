import AxeBuilder from '@axe-core/playwright';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, offer, test } from './bench';

const folder = mkdtempSync(join(tmpdir(), 'crow-licences-'));
const kept = (name: string, content: string): string => {
    const path = join(folder, name);
    writeFileSync(path, content);
    return path;
};

async function axe(page: Page): Promise<string[]> {
    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
    return violations.map((one) => `${one.id}: ${one.nodes.map((node) => node.target.join(' ')).slice(0, 3).join(' | ')}`);
}

/** Answers a question of the interview. */
async function answer(page: Page, question: string, says: string): Promise<void> {
    // The field about it takes the press.
    await page.getByRole('combobox', { name: question }).click({ delay: 70, force: true });
    await page.getByRole('option', { name: says, exact: true }).click({ delay: 70 });
}

test('a licence is recorded by the interview, proven, and what it forbids is seen where it prints', async ({ page, quiet }) => {
    quiet.allow.push(/422/);
    await page.goto('/licences');
    await page.getByRole('button', { name: 'Record a licence' }).click({ delay: 70 });
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'Record it' }).click({ delay: 70 });
    await expect(dialog.getByText('Give the licence a name')).toBeVisible();
    await expect(dialog.getByLabel('Name: the pack')).toBeFocused();
    await expect(dialog.getByLabel('Name: the pack')).toBeInViewport();
    await dialog.getByLabel('Name: the pack').fill('Gate pack');
    await answer(page, 'May it be used to earn money?', 'no');
    expect(await axe(page)).toEqual([]);
    await dialog.getByRole('button', { name: 'Record it' }).click({ delay: 70 });
    await expect(dialog.getByRole('heading', { name: 'Gate pack' })).toBeVisible();

    await dialog.locator('.proofs input[type=file]').setInputFiles([kept('receipt.eml', 'Subject: order 44\n\n<b>Thank you</b>'), kept('terms.exe', 'MZ')]);
    await expect(dialog.getByText('"terms.exe" cannot be kept as a proof.')).toBeVisible();
    await dialog.getByRole('button', { name: 'Read receipt.eml' }).click({ delay: 70 });
    await expect(dialog.locator('.proof-text pre')).toHaveText('Subject: order 44\n\n<b>Thank you</b>');
    await dialog.getByRole('button', { name: 'Close' }).click({ delay: 70 });
    await expect(page.getByRole('row', { name: /Gate pack/ })).toContainText('1');

    await offer(page, kept('toll-gate.svg', '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20"><rect width="40" height="20" fill="#2f6f73"/></svg>'), 'none yet');
    await expect(page.getByRole('status').filter({ hasText: 'toll-gate is on the shelf' })).toBeVisible();
    await page.getByRole('searchbox', { name: /Find by name/ }).fill('toll');
    await expect(page.locator('.shelf-card')).toHaveCount(1);
    await page.getByRole('checkbox', { name: 'choose toll-gate' }).check();
    await page.getByRole('group', { name: 'What is chosen' }).getByRole('combobox', { name: 'Licence' }).fill('Gate pack');
    await page.getByRole('option', { name: 'Gate pack' }).click({ delay: 70 });
    await page.getByRole('button', { name: 'Hold under it' }).click({ delay: 70 });
    await expect(page.locator('.shelf-card')).toContainText('Gate pack');

    const job = await page.request.post('/api/jobs', { headers: { 'X-XSRF-TOKEN': decodeURIComponent((await page.context().cookies()).find((one) => one.name === 'XSRF-TOKEN')?.value ?? '') }, data: { title: 'Toll gate', product: 'tee', side: 'front', method: 'dtg', rule: 'strict-300', garments: [{ name: 'Oat', colour: '#e9dcc3' }], area: { name: 'Chest', width: 1200, height: 1200, ppi: 300 } } });
    const { id } = (await job.json()) as { id: number };
    await page.goto(`/jobs/${id}/build`);
    await page.getByRole('button', { name: 'Add a line' }).click({ delay: 70 });
    await page.getByRole('combobox', { name: /What next/ }).fill('lay a picture');
    await page.keyboard.press('Enter');
    await expect(page.locator('.top-job [role=status]')).toHaveText('saved');
    await page.getByRole('button', { name: /^picture:/ }).click({ delay: 70 });
    await page.getByRole('searchbox', { name: 'Filter by name' }).fill('toll-gate');
    await page.locator('.finder-rows .finder-choose').first().click({ delay: 70 });
    const rights = page.getByRole('region', { name: 'Rights' });
    await expect(rights).toContainText('not allowed');
    // The head of the gauges counts it, as it counts all that fails.
    const gauges = page.getByRole('region', { name: 'Gauges' });
    await expect(async () => expect(await gauges.locator('header [role=status]').textContent()).toMatch(new RegExp(`^${await gauges.locator('.gauge.fail').count()} fail`))).toPass();
    await expect(gauges.locator('header [role=status]')).not.toHaveText(/^0 fail/);
    await rights.getByRole('button', { name: /toll-gate/ }).click({ delay: 70 });
    await expect(rights).toContainText('It may not be used to earn money.');

    await page.getByRole('link', { name: 'Send' }).click({ delay: 70 });
    const send = page.getByRole('button', { name: 'Export the print file' });
    await expect(send).toBeDisabled();
    await page.getByLabel(/Why do you print it all the same/).fill('For the wall of the shop, not for sale.');
    await send.click({ delay: 70 });
    await expect(page.getByText('Printed though not allowed as stated: For the wall of the shop, not for sale.')).toBeVisible();
    const [sheet] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'as CSV', exact: true }).click({ delay: 70 })]);
    expect(readFileSync(await sheet.path(), 'utf8')).toContain('toll-gate.svg');
});

test('sales are read from a report once its columns are told, and watched words are found', async ({ page, quiet }) => {
    quiet.allow.push(/422/);
    await page.goto('/licences');
    await page.getByRole('tab', { name: 'Sales' }).click({ delay: 70 });
    await page.locator('.sales input[type=file]').setInputFiles(kept('february.csv', 'Shirt;Pieces;When\nQuarry Road kite day;12;2031-02-01\nNo such shirt;1;2031-02-01\n'));
    await expect(page.getByText('Which column has the title?')).toBeVisible();
    await page.getByLabel('Heading of the design').fill('Shirt');
    await page.getByLabel('Heading of the number').fill('Pieces');
    await page.getByLabel('Heading of the day').fill('When');
    await page.getByRole('button', { name: 'Read it so' }).click({ delay: 70 });
    await expect(page.getByText('1 row counted, 12 shirts.')).toBeVisible();
    await expect(page.getByText('Row 3, column Shirt: "No such shirt" is the title of no design.')).toBeVisible();
    await page.getByRole('tab', { name: 'Watch list' }).click({ delay: 70 });
    await page.getByLabel('Name, mark or phrase').fill('Kite Socieyt');
    await page.getByRole('button', { name: 'Watch for it' }).click({ delay: 70 });
    await expect(page.getByText('Kite Socieyt')).toBeVisible();
    await page.goto('/');
    await page.getByRole('link', { name: 'Quarry Road kite day' }).click({ delay: 70 });
    await expect(page.getByRole('region', { name: 'Rights' })).toContainText('is like “Kite Socieyt”');
    await page.goto('/licences');
    await page.getByRole('tab', { name: 'Watch list' }).click({ delay: 70 });
    await page.getByRole('button', { name: 'Watch no longer for Kite Socieyt' }).click({ delay: 70 });
    await expect(page.getByText('Kite Socieyt')).toHaveCount(0);
});

test('a piece tells where it is used, is kept while a design needs it, and the job\'s own shelf shows what it lacks', async ({ page, quiet }) => {
    quiet.allow.push(/409/);
    await page.goto('/shelf');
    await page.getByRole('searchbox', { name: /Find by name/ }).fill('raven');
    await expect(page.locator('.shelf-card')).toHaveCount(1);
    await page.locator('.shelf-title').first().click({ delay: 70 });
    const dialog = page.getByRole('dialog');
    await expect(dialog.getByRole('link', { name: 'Lantern & Rook varsity' })).toBeVisible();
    await dialog.getByRole('button', { name: 'Take it off the shelf' }).click({ delay: 70 });
    await expect(dialog.getByRole('alert')).toContainText('is needed by "Lantern & Rook varsity"');
    expect(await axe(page)).toEqual([]);
    await dialog.getByRole('link', { name: 'Lantern & Rook varsity' }).click({ delay: 70 });
    await page.getByRole('link', { name: 'Gather' }).click({ delay: 70 });
    await expect(page.getByRole('region', { name: /It prints/ })).toContainText('Raven');
    await expect(page.getByRole('region', { name: /It prints/ })).toContainText('Alfa Slab One');
});

test('pieces are kept together in a collection, and what was here already is told as it comes', async ({ page }) => {
    await page.goto('/shelf');
    const tower = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 60"><path d="M8 60V20L20 4l12 16v40z" fill="#7a3b2e"/></svg>';
    await offer(page, kept('bell-tower.svg', tower), 'our own');
    await expect(page.getByRole('status').filter({ hasText: 'bell-tower is on the shelf' })).toBeVisible();
    await expect(page.getByRole('list', { name: 'Here already' })).toBeHidden();
    await offer(page, kept('bell-tower-2.svg', tower), 'our own');
    const twin = page.getByRole('list', { name: 'Here already' });
    await expect(twin).toContainText('bell-tower-2 is the very same file as bell-tower, which was here.');

    await page.getByRole('searchbox', { name: /Find by name/ }).fill('tower');
    await expect(page.locator('.shelf-card')).toHaveCount(2);
    await twin.getByRole('button', { name: 'Take the new one off' }).click({ delay: 70 });
    await expect(twin).toBeHidden();
    await expect(page.locator('.shelf-card')).toHaveCount(1);

    await page.getByRole('checkbox', { name: 'choose bell-tower' }).check();
    const bar = page.getByRole('group', { name: 'What is chosen' });
    await bar.getByRole('combobox', { name: 'Collection' }).fill('Ringing day');
    await bar.getByRole('combobox', { name: 'Collection' }).press('Enter');
    await bar.getByRole('button', { name: 'Lay in it' }).click({ delay: 70 });
    await expect(bar.getByRole('button', { name: 'Take out of it' })).toBeEnabled();
    await bar.getByRole('button', { name: 'Choose none' }).click({ delay: 70 });
    await page.getByRole('searchbox', { name: /Find by name/ }).fill('');
    await page.getByRole('search').getByRole('combobox', { name: 'Collection' }).click({ delay: 70, force: true });
    await page.getByRole('option', { name: 'Ringing day (1)' }).click({ delay: 70 });
    await expect(page.locator('.shelf-card')).toHaveCount(1);
    expect(await axe(page)).toEqual([]);
    await page.getByRole('textbox', { name: 'Name of the collection' }).fill('Bell week');
    await page.getByRole('button', { name: 'Rename' }).click({ delay: 70 });
    await expect(page.getByRole('search')).toContainText('Bell week (1)');
    await page.getByRole('button', { name: /Give it up/ }).click({ delay: 70 });
    await expect(page.getByRole('textbox', { name: 'Name of the collection' })).toBeHidden();
    await expect(page.locator('.shelf-card').nth(1)).toBeVisible();
});
