import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { choose, expect, offer, saved, showAllGauges, test } from './bench';
import { faultsOfWhole, restless } from './seen';

test('the shelf takes a drawing with its licence, and refuses a hostile file', async ({ page, quiet }) => {
    quiet.allow.push(/422/);
    const folder = mkdtempSync(join(tmpdir(), 'crow-'));
    const drawing = join(folder, 'tide-mark.svg');
    writeFileSync(drawing, '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 40"><script>alert(1)</script><text>Tide</text><circle cx="20" cy="20" r="18" fill="#17404a"/></svg>');
    const bomb = join(folder, 'tide.svg');
    writeFileSync(bomb, '<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a SYSTEM "file:///etc/passwd">]><svg viewBox="0 0 1 1">&a;</svg>');

    await offer(page, bomb, 'own work');
    await expect(page.getByRole('alert').filter({ hasText: 'declares entities' })).toBeVisible();

    await page.goto('/shelf');
    await offer(page, drawing, 'own work');
    await expect(page.getByRole('status').filter({ hasText: 'tide-mark is on the shelf' })).toBeVisible();
    await page.getByRole('searchbox', { name: /Find by name/ }).fill('tide-m');
    await expect(page.locator('.shelf-card')).toHaveCount(1);
    await expect(page.locator('.shelf-card').getByText('tide-mark')).toBeVisible();
    await expect(page.locator('.shelf-card').getByText('not printed: words that are not outlines')).toBeVisible();
});

test('a brief can be changed, and the design follows the new print area', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('link', { name: 'Tide-pool rangers, chest badge' }).click();
    await page.getByRole('link', { name: 'Brief' }).click();
    await choose(page, 'Print area', 'Transfer sheet, 8.5 × 11 in');
    await page.getByRole('button', { name: 'Save the brief' }).click();
    await expect(page.getByText('The brief is saved.')).toBeVisible();
    await page.getByRole('link', { name: 'Build' }).click();
    await showAllGauges(page);
    await expect(page.locator('.gauge').filter({ hasText: 'Sheet' }).first()).toContainText('2550 × 3300 px');
    await page.getByRole('button', { name: 'Step back' }).click();
    await saved(page);
});

test('print areas of the seller\'s own are listed and offered', async ({ page }) => {
    // A server slow to read the length: what was typed holds, however soon the button is pressed.
    await page.route('**/api/lengths*', async (route) => {
        await new Promise((done) => setTimeout(done, 700));
        await route.continue();
    });
    await page.goto('/houses');
    await page.getByLabel('Name: house').fill('Bellfoundry tote front');
    await page.getByLabel('area width').fill('300 mm');
    await page.getByLabel('area width').press('Enter');
    await page.getByRole('button', { name: 'Add to my list' }).click();
    await expect(page.getByRole('row', { name: /Bellfoundry tote front 3543 × 4800/ })).toBeVisible();
    await page.goto('/new');
    await page.getByRole('combobox', { name: 'Print area' }).fill('bellf');
    await page.getByRole('option', { name: 'Bellfoundry tote front' }).click({ delay: 70 });
    await expect(page.getByText('3543 × 4800 px · 300 ppi')).toBeVisible();
});

test('every page holds WCAG 2.2 AA by axe, in a light room and a dark one, and is no wider than a phone', async ({ page }) => {
    await page.addInitScript(() => window.localStorage.setItem('light', 'light'));
    await page.goto('/');
    await page.getByRole('link', { name: 'Quarry Road kite day' }).click();
    await expect(page.getByRole('region', { name: 'Gauges' })).toContainText(/\d+ hold/);
    const job = new URL(page.url()).pathname.replace('/build', '');
    for (const path of ['/', '/new', '/shelf', '/licences', '/houses', '/transfers', '/log', '/calendar', '/people', '/account', '/sign-in', `${job}/brief`, `${job}/gather`, `${job}/build`, `${job}/check`, `${job}/series`, `${job}/send`]) {
        await page.goto(path);
        await page.waitForLoadState('networkidle');
        expect(await faultsOfWhole(page), path).toEqual([]);
        await page.getByRole('button', { name: 'Dark room' }).click({ delay: 70 });
        await expect(page.locator('html')).toHaveAttribute('data-light', 'dark');
        await page.evaluate(() => document.querySelectorAll('details').forEach((one) => (one.open = true)));
        expect(await faultsOfWhole(page), `${path} in the dark`).toEqual([]);
        expect(await restless(page), path).toEqual([]);
        await page.setViewportSize({ width: 360, height: 780 });
        expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth), `${path} is wider than a phone`).toBeLessThanOrEqual(0);
        await page.setViewportSize({ width: 1280, height: 800 });
    }
});

test('a whole job goes out in one file and comes in as a new job, and a broken file is told', async ({ page, quiet }) => {
    quiet.allow.push(/422/);
    await page.goto('/');
    await page.getByRole('link', { name: /Moth night lantern/ }).first().click();
    await page.getByRole('link', { name: 'Send' }).click();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'The whole job as a file' }).click({ delay: 70 })]);
    expect(download.suggestedFilename()).toBe('moth-night-lantern-burst.crow');
    const file = await download.path();
    const broken = join(mkdtempSync(join(tmpdir(), 'crow-')), 'broken.crow');
    writeFileSync(broken, readFileSync(file).subarray(0, 5000));

    await page.goto('/');
    await page.getByRole('button', { name: 'Open a job file' }).click({ delay: 70 });
    await page.locator('.open-job input[type=file]').setInputFiles(broken);
    await page.getByRole('button', { name: 'Open it as a new job' }).click({ delay: 70 });
    await expect(page.getByRole('alert')).toContainText('Confirm that you hold the right');
    await page.getByRole('checkbox').check();
    await page.getByRole('button', { name: 'Open it as a new job' }).click({ delay: 70 });
    await expect(page.getByRole('alert')).toContainText('broken, or no zip');

    await page.locator('.open-job input[type=file]').setInputFiles(file);
    await page.getByRole('button', { name: 'Open it as a new job' }).click({ delay: 70 });
    await expect(page.getByRole('heading', { name: 'Build sheet' })).toBeVisible();
    await expect(page.locator('.top-job')).toContainText('Moth night lantern, burst');
    await expect(page.locator('[data-layer]')).toHaveCount(4);
    await page.goto('/');
    await expect(page.getByRole('link', { name: /Moth night lantern/ })).toHaveCount(2);
});
