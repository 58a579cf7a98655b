import { expect, test } from './bench';
import { OTHER } from './enter';

test('a partner is invited, signs in with a code, looks and approves, and can change nothing', async ({ page, browser, quiet, baseURL }) => {
    quiet.allow.push(/status of (401|403|422)/);
    await page.goto('/people');
    await page.locator('.invite .v-field').click();
    await page.getByRole('option', { name: /viewer/ }).click();
    await page.getByRole('button', { name: 'Make an invitation' }).click();
    const address = await page.locator('.secret').innerText();
    expect(address).toMatch(/\/join\/[\w-]{32}$/);

    // Another browser, in which nobody is signed in.
    const other = await (await browser.newContext({ storageState: { cookies: [], origins: [] }, baseURL: baseURL ?? '', reducedMotion: 'reduce' })).newPage();
    await other.goto('/shelf');
    await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await other.goto(address);
    await other.getByLabel('Your name').fill('Bell');
    await other.getByLabel('Sign-in name').fill('bell');
    await other.getByLabel('Password').fill('short');
    await other.getByRole('button', { name: 'Join' }).click();
    await expect(other.getByText(/A password has 12 to/)).toBeVisible();
    await other.getByLabel('Password').fill('nine bells over the water');
    await other.getByRole('button', { name: 'Join' }).click();
    await expect(other.getByRole('heading', { name: 'Jobs' })).toBeVisible();
    await expect(other.getByRole('link', { name: 'People' })).toHaveCount(0);

    await other.getByRole('link', { name: 'Moth night, hoodie back' }).click();
    await other.getByRole('link', { name: 'Send' }).click();
    await expect(other.getByRole('button', { name: 'Export the print file' })).toHaveCount(0);
    await other.getByRole('button', { name: 'Approve this step' }).click();
    await expect(other.locator('.remarks li').first()).toContainText('Bell approved it');
    const refused = await other.request.delete('/api/jobs/1', { headers: { Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent((await other.context().cookies()).find((one) => one.name === 'XSRF-TOKEN')?.value ?? '') } });
    expect(refused.status()).toBe(403);

    // Codes from a phone, computed by a library that is not ours.
    await other.getByRole('link', { name: 'Bell' }).click();
    await other.getByLabel('Present password').fill('nine bells over the water');
    await other.getByRole('button', { name: 'Add codes from a phone' }).click();
    const secret = (await other.locator('.room .measure').first().innerText()).replaceAll(' ', '');
    const { TOTP } = await import('otpauth');
    const totp = new TOTP({ secret });
    await other.getByLabel('Code from your phone').fill(totp.generate());
    await other.getByRole('button', { name: 'Switch codes on' }).click();
    await expect(other.getByText('A code from your phone is asked for')).toBeVisible();
    await other.getByRole('button', { name: 'Sign out everywhere' }).click();
    // To the door itself, not to the door of the page that was left.
    await expect(other).toHaveURL(/\/sign-in$/);
    await other.getByLabel('Sign-in name').fill('bell');
    await other.getByLabel('Password').fill('nine bells over the water');
    await other.getByRole('button', { name: 'Sign in' }).click();
    // The phone's next one: a code opens once, and a phone may be half a minute before us.
    await other.getByLabel('Code from your phone').fill(totp.generate({ timestamp: Date.now() + 30_000 }));
    await other.getByRole('button', { name: 'Sign in' }).click();
    await expect(other.getByRole('heading', { name: 'Jobs' })).toBeVisible();

    await page.goto('/people');
    await expect(page.getByRole('row', { name: /Bell/ }).first()).toContainText('password and code');
    await expect(page.getByText('comments: add').first()).toBeVisible();
    await page.getByRole('button', { name: 'Take Bell out of the shop' }).click();
    await expect(page.getByRole('button', { name: 'Take Bell out of the shop' })).toHaveCount(0);
    await other.goto('/');
    await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await other.context().close();
});

test('the door gives the first field the focus as it comes, and never takes it from who is quicker', async ({ browser, baseURL }) => {
    const page = await (await browser.newContext({ storageState: { cookies: [], origins: [] }, baseURL: baseURL ?? '' })).newPage();
    // A busy machine tells late what is in sight.
    await page.addInitScript(() => {
        const Real = window.IntersectionObserver;
        window.IntersectionObserver = class extends Real {
            constructor(told: IntersectionObserverCallback, options?: IntersectionObserverInit) {
                super((entries, observer) => window.setTimeout(() => told(entries, observer), 600), options);
            }
        };
    });
    await page.goto('/sign-in');
    await page.getByLabel('Password').focus();
    await page.waitForTimeout(1000);
    await expect(page.getByLabel('Password')).toBeFocused();
    await page.reload();
    await expect(page.getByLabel('Sign-in name')).toBeFocused();
    await page.context().close();
});

test('the owner of another shop finds nothing of this one, on the application as it is shipped', async ({ page, browser, baseURL, quiet }) => {
    quiet.allow.push(/status of 404/);
    const mine = (await (await page.request.get('/api/jobs')).json()) as { id: number; revision: number }[];
    const asset = ((await (await page.request.get('/api/assets')).json()) as { id: number }[])[0];
    const other = await (await browser.newContext({ storageState: { cookies: [], origins: [] }, baseURL: baseURL ?? '', reducedMotion: 'reduce' })).newPage();
    await other.goto('/');
    await other.getByLabel('Sign-in name').fill(OTHER.login);
    await other.getByLabel('Password').fill(OTHER.password);
    await other.getByRole('button', { name: 'Sign in' }).click();
    await expect(other.getByText('No jobs yet')).toBeVisible();
    const job = mine[0];
    const token = decodeURIComponent((await other.context().cookies()).find((one) => one.name === 'XSRF-TOKEN')?.value ?? '');
    for (const path of [`jobs/${job?.id}`, `jobs/${job?.id}/file`, `jobs/${job?.id}/exports`, `jobs/${job?.id}/comments`, `revisions/${job?.revision}/proof.png`, `revisions/${job?.revision}/preflight`, `assets/${asset?.id}/preview.png`]) {
        expect((await other.request.get(`/api/${path}`, { headers: { Accept: 'application/json' } })).status(), path).toBe(404);
    }
    for (const [method, path] of [['DELETE', `jobs/${job?.id}`], ['POST', `jobs/${job?.id}/exports`], ['POST', `jobs/${job?.id}/undo`], ['PUT', `assets/${asset?.id}/favourite`]] as const) {
        expect((await other.request.fetch(`/api/${path}`, { method, data: { version: 1 }, headers: { Accept: 'application/json', 'X-XSRF-TOKEN': token } })).status(), path).toBe(404);
    }
    await other.goto(`/jobs/${job?.id}/build`);
    await expect(other.getByRole('heading', { name: 'This job could not be opened' })).toBeVisible();
    expect(((await (await page.request.get('/api/jobs')).json()) as unknown[]).length).toBe(mine.length);
    await other.context().close();
});

test('a token is shown once and opens the interface of programs', async ({ page, playwright, baseURL }) => {
    await page.goto('/account');
    await page.getByLabel('What it is for').fill('nightly list');
    await page.getByRole('button', { name: 'Make a token' }).click();
    const token = await page.locator('.secret').innerText();
    const program = await playwright.request.newContext({ baseURL: baseURL ?? '', storageState: { cookies: [], origins: [] }, extraHTTPHeaders: { Authorization: `Bearer ${token}`, Accept: 'application/json' } });
    expect((await program.get('/api/jobs')).status()).toBe(200);
    expect((await program.delete('/api/jobs/1')).status()).toBe(403);
    await page.reload();
    await expect(page.getByText(token)).toHaveCount(0);
    await page.getByRole('button', { name: 'Take back nightly list' }).click();
    await expect(page.getByRole('button', { name: 'Take back nightly list' })).toHaveCount(0);
    expect((await program.get('/api/jobs')).status()).toBe(401);
    await program.dispose();
});

test('a save whose answer was lost is not done twice, and "saved" is said of nothing that is not', async ({ page, quiet }) => {
    quiet.allow.push(/ERR_FAILED|ERR_CONNECTION|Failed to load/);
    await page.goto('/');
    await page.getByRole('link', { name: 'Moth freed' }).or(page.locator('.job-card a').first()).first().click();
    const status = page.locator('.top-job [role=status]');
    await expect(status).toHaveText('saved');
    let lost = 0;
    await page.route('**/artwork', async (route) => {
        if (route.request().method() === 'PUT' && lost++ === 0) {
            // It arrives, but the answer does not.
            await route.fetch();
            await route.abort();
        } else {
            await route.continue();
        }
    });
    await page.locator('[data-layer] input[type=checkbox]').first().click();
    await expect(status).toHaveText('not saved');
    await expect(status).toHaveText('saved');
    expect(lost).toBe(2);
    await expect(page.getByText('changed in another tab')).toHaveCount(0);
});
