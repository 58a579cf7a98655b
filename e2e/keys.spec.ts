import { addLine, artworkOf, expect, newJob, saved, setToken, test, words } from './bench';

const ids = async (page: import('@playwright/test').Page): Promise<string[]> => (await artworkOf(page, page.url())).layers.map((layer) => layer.id);

test('a new line is typed at once; Alt and arrows carry a line as far as they were pressed, and keep the focus', async ({ page }) => {
    await newJob(page, 'By key');
    await page.keyboard.press('a');
    await page.keyboard.type('set words');
    await expect(page.getByRole('option', { name: /Set words/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(words(page)).toBeFocused();
    await page.keyboard.type('FIRST');
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(words(page)).toHaveValue('FIRST');
    await addLine(page, 'shape', 'Draw a shape');
    await addLine(page, 'shape', 'Draw a shape');
    await addLine(page, 'outline', 'Outline');
    await expect(page.getByRole('textbox', { name: 'outline width' })).toBeFocused();
    const before = await ids(page);
    await words(page).focus();
    for (let i = 0; i < 2; i++) {
        await page.keyboard.press('Alt+ArrowDown');
    }
    await saved(page);
    await expect.poll(() => ids(page)).toEqual([before[1], before[2], before[0]]);
    await expect(words(page)).toBeFocused();
    // Who asks for less motion, as these tests do, gets none.
    const moves = await page.locator('.v-btn').first().evaluate((button) => getComputedStyle(button).transitionDuration.split(',').map(Number.parseFloat));
    expect(Math.max(...moves)).toBeLessThan(0.001);
});

test('lines are chosen, copied, pasted into another job, taken out, and stepped back, by keys alone', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await newJob(page, 'Copied from');
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'KITE');
    await addLine(page, 'shape', 'Draw a shape');
    await saved(page);
    await page.locator('.peg-view').focus();
    await page.keyboard.press('Control+a');
    await page.keyboard.press('Control+c');
    await page.keyboard.press('Control+d');
    await saved(page);
    await expect.poll(async () => (await ids(page)).length).toBe(4);
    await page.locator('.arrange-open').click();
    await page.getByRole('button', { name: 'Switch off', exact: true }).click();
    await saved(page);
    await expect.poll(async () => (await artworkOf(page, page.url())).layers.map((layer) => layer.on)).toEqual([true, false, true, false]);
    await page.keyboard.press('Escape');
    await page.locator('.peg-view').focus();
    await page.keyboard.press('Delete');
    await saved(page);
    await expect.poll(async () => (await ids(page)).length).toBe(2);
    await newJob(page, 'Pasted into');
    await page.locator('.peg-view').focus();
    await page.keyboard.press('Control+v');
    await saved(page);
    await expect(words(page)).toHaveValue('KITE');
    await expect.poll(async () => (await ids(page)).length).toBe(2);
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await ids(page)).length).toBe(0);
    await page.keyboard.press('Shift+?');
    await expect(page.getByRole('dialog').getByText('Keys of the bench')).toBeVisible();
    await page.keyboard.press('Escape');
});

test('a long sheet begins folded, is searched, and opens where a piece is chosen on the peg', async ({ page }) => {
    await newJob(page, 'Long');
    for (let i = 0; i < 2; i++) {
        await addLine(page, 'shape', 'Draw a shape');
    }
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'LANTERN');
    await page.locator('.peg-view').focus();
    for (let i = 0; i < 2; i++) {
        await page.keyboard.press('Control+a');
        await page.keyboard.press('Control+d');
        await saved(page);
    }
    await expect(page.locator('.drag-row')).toHaveCount(12);
    await expect(page.locator('.line.folded').first()).toBeVisible();
    await page.getByRole('searchbox', { name: 'Find in the sheet' }).fill('lantern');
    await expect(page.locator('.drag-row:visible')).toHaveCount(4);
    await page.getByRole('searchbox', { name: 'Find in the sheet' }).fill('');
    await page.getByRole('button', { name: 'fold all', exact: true }).click();
    await expect(page.locator('.line.folded')).toHaveCount(12);
    await page.locator('.folded-head').nth(5).click();
    await expect(page.locator('.line.folded')).toHaveCount(11);
    // A rectangle over all of the cloth chooses every piece that it touches.
    const peg = await page.locator('.peg-view').boundingBox();
    const [x, y] = [peg?.x ?? 0, peg?.y ?? 0];
    await page.mouse.move(x + 4, y + 4);
    await page.mouse.down();
    await page.mouse.move(x + 40, y + 60, { steps: 3 });
    await page.waitForTimeout(400);
    await page.mouse.move(x + (peg?.width ?? 0) - 4, y + (peg?.height ?? 0) - 4, { steps: 5 });
    await page.mouse.up();
    await expect(page.getByRole('button', { name: 'Arrange 12 lines' })).toBeVisible();
    // The wheel comes closer about the pointer; 0 goes back.
    const wide = (): Promise<number> => page.locator('.peg-view').evaluate((svg) => Number(svg.getAttribute('viewBox')?.split(' ')[2]));
    const before = await wide();
    await page.mouse.move(x + (peg?.width ?? 0) / 2, y + (peg?.height ?? 0) / 2);
    await page.mouse.wheel(0, -400);
    await expect.poll(wide).toBeLessThan(before * 0.7);
    await page.locator('.peg-view').focus();
    await page.keyboard.press('0');
    await expect.poll(wide).toBeCloseTo(before, 3);
});

test('a job is copied whole, and thrown away only when that is meant', async ({ page }) => {
    await newJob(page, 'Once');
    await addLine(page, 'shape', 'Draw a shape');
    await saved(page);
    await page.goto('/');
    await page.getByRole('button', { name: 'Copy Once', exact: true }).click();
    await expect(page.locator('.top-job strong')).toHaveText('Copy of Once');
    await expect(page.locator('.drag-row')).toHaveCount(1);
    await page.goto('/');
    // A copy that is ready late opens nothing once another page is open.
    const late = page.waitForResponse((answer) => answer.url().endsWith('/copy'));
    let release = (): void => {};
    const elsewhere = new Promise<void>((done) => { release = done; });
    await page.route('**/copy', async (route) => {
        await elsewhere;
        await route.continue();
    }, { times: 1 });
    await page.getByRole('button', { name: 'Copy Copy of Once', exact: true }).click();
    await page.getByRole('link', { name: 'Shelf', exact: true }).click();
    await expect(page).toHaveURL(/\/shelf$/);
    release();
    await late;
    await page.waitForTimeout(500);
    await expect(page).toHaveURL(/\/shelf$/);
    await page.goto('/');
    await page.getByRole('button', { name: 'Throw away Copy of Once', exact: true }).click();
    await page.getByRole('button', { name: 'Keep it' }).click();
    for (const name of ['Copy of Copy of Once', 'Copy of Once']) {
        await page.getByRole('button', { name: `Throw away ${name}`, exact: true }).click();
        await page.getByRole('alertdialog').getByRole('button', { name: 'Throw away' }).click();
        await expect(page.getByRole('button', { name: `Throw away ${name}`, exact: true })).toHaveCount(0);
    }
    await page.goto('/no/such/page');
    await expect(page.getByRole('heading', { name: 'Nothing hangs here' })).toBeVisible();
});

test('a recipe is kept of chosen lines, followed on new words, and done to another piece', async ({ page }) => {
    await newJob(page, 'By recipe');
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'LANTERN');
    await addLine(page, 'outline', 'Outline');
    await page.getByRole('button', { name: 'Recipes' }).click();
    await page.getByLabel('Keep the chosen line as').fill('Ringed so');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText('Ringed so')).toBeVisible();
    await expect(page.getByAltText('LANTERN by the recipe Ringed so')).toHaveJSProperty('complete', true);
    await page.getByLabel('Words to see them on').fill('Bell tower');
    // The ring in another colour, seen before it is set.
    const ring = page.getByRole('textbox', { name: /^Ringed so: colour/ }).last();
    await ring.fill('#2f6f73');
    await ring.press('Enter');
    await expect(page.getByAltText('Bell tower by the recipe Ringed so')).toHaveAttribute('src', /instead.*%232f6f73/);
    await page.getByRole('button', { name: 'Set new words by Ringed so' }).click();
    await saved(page);
    await expect(page.locator('.drag-row').last().getByRole('textbox', { name: 'outline colour' })).toHaveValue('#2f6f73');
    await expect(words(page).last()).toHaveValue('Bell tower');
    await expect(page.locator('.drag-row').last().getByRole('textbox', { name: 'outline width' })).toBeVisible();
    await addLine(page, 'shape', 'Draw a shape');
    await page.getByRole('button', { name: 'Recipes' }).click();
    await page.getByRole('button', { name: /^Do Ringed so to/ }).click();
    await saved(page);
    await expect(page.locator('.drag-row').last().getByRole('textbox', { name: 'outline width' })).toBeVisible();
    await page.getByRole('button', { name: 'Recipes' }).click();
    await page.getByRole('button', { name: 'Take out Ringed so' }).click();
    await expect(page.getByText('Ringed so')).toHaveCount(0);
});

test('a picture dropped on the bench goes to the shelf and on the sheet, once its licence is told', async ({ page, quiet }) => {
    quiet.allow.push(/status of 422/);
    await newJob(page, 'Dropped');
    const drop = await page.evaluateHandle(() => {
        const data = new DataTransfer();
        data.items.add(new File(['<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20"><rect width="40" height="20" fill="#b04a2c"/></svg>'], 'little-gate.svg', { type: 'image/svg+xml' }));
        return data;
    });
    for (const kind of ['dragenter', 'dragover', 'drop']) {
        await page.dispatchEvent('.peg-view', kind, { dataTransfer: drop });
    }
    await expect(page.getByRole('heading', { name: 'Put little-gate.svg on the shelf and on the sheet' })).toBeVisible();
    await page.getByRole('button', { name: 'Put it there' }).click();
    await expect(page.getByText('Name the licence under which you hold this file.')).toBeVisible();
    await page.getByLabel('Licence, such as CC BY 4.0').fill('our own');
    await page.getByLabel('I hold the right to use them for print on demand').check();
    await page.getByRole('button', { name: 'Put it there' }).click();
    await saved(page);
    await expect(page.locator('.drag-row')).toHaveCount(1);
    await expect(page.locator('.drag-row').getByText(/little.gate/i).first()).toBeVisible();
});

test('words are written anew where they lie on the peg, and a linked copy says the same', async ({ page }) => {
    await newJob(page, 'Linked');
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'MOTH');
    await saved(page);
    await page.keyboard.press('Escape');
    await page.locator('.peg-view').focus();
    await page.keyboard.press('Control+Shift+d');
    await saved(page);
    const [first, copy] = (await artworkOf(page, page.url())).layers;
    expect(copy?.follows).toEqual({ layer: first?.id, source: true, words: false, shape: true, placement: true });
    await expect(page.getByText('Follow', { exact: false }).first()).toBeVisible();
    await expect(page.locator('.peg-view image').first()).toBeVisible();
    // What lies under the first press is told late, as on a busy server: it takes no word away.
    await page.route('**/pick?*', async (route) => {
        await new Promise((resolve) => setTimeout(resolve, 1500));
        await route.continue();
    });
    const box = await page.locator('.hold-box').last().boundingBox();
    await page.mouse.dblclick((box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2, { delay: 70 });
    const field = page.locator('.words-in-place textarea').first();
    await expect(field).toBeFocused();
    await page.keyboard.type('TIDE', { delay: 500 });
    await expect(field).toHaveValue('TIDE');
    await page.keyboard.press('Enter');
    await expect(field).toBeHidden();
    await saved(page);
    await expect.poll(async () => (await artworkOf(page, page.url())).layers.map((layer) => layer.source.text)).toEqual(['TIDE', 'TIDE']);
    await page.locator('.peg-view').press('Delete');
    await saved(page);
    await expect.poll(async () => (await artworkOf(page, page.url())).layers.length).toBe(1);
});

test('a first design goes from New job to its file in less than sixty keystrokes beside its words', async ({ page }) => {
    let pressed = 0;
    const press = async (...keys: string[]): Promise<void> => {
        for (const key of keys) {
            pressed++;
            await page.keyboard.press(key);
        }
    };
    const named = (): Promise<string> => page.evaluate(() => {
        const at = document.activeElement;
        return (at?.getAttribute('aria-label') ?? (at instanceof HTMLInputElement ? at.labels?.[0]?.textContent : at?.textContent) ?? '').trim();
    });
    const go = async (key: 'Tab' | 'Shift+Tab', to: string): Promise<void> => {
        for (let i = 0; i < 30 && (await named()) !== to; i++) {
            await press(key);
        }
        expect(await named()).toBe(to);
    };
    await page.goto('/new');
    await expect(page.getByRole('textbox', { name: 'Title' })).toBeFocused();
    await page.keyboard.type('Moth night, first light');
    await press('Enter');
    await expect(page.getByRole('heading', { name: 'Build sheet' })).toBeVisible();
    for (const [verb, words] of [['words', 'MOTH NIGHT'], ['arch', ''], ['ring', ''], ['star', '']] as const) {
        await press('a', ...verb, 'Enter');
        await saved(page);
        if (words) {
            await page.keyboard.type(words);
            await press('Enter');
            await saved(page);
        }
        // Letters are keys of the bench on anything but a field to write in.
        for (let i = 0; i < 10 && (await page.evaluate(() => document.activeElement instanceof HTMLInputElement && document.activeElement.type !== 'checkbox')); i++) {
            await press('Tab');
        }
    }
    await go('Shift+Tab', 'Send');
    await press('Enter');
    await go('Tab', 'Export the print file');
    await press('Enter');
    await expect(page.getByRole('link', { name: 'Download' })).toBeVisible();
    expect(pressed).toBeLessThan(60);
});
