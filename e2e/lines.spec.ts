import { act, addLine, artworkOf, expect, newJob, saved, setToken, test, words } from './bench';

test('lines are dragged to another place by their grip', async ({ page }) => {
    const path = await newJob(page, 'Dragged lines');
    for (const name of ['ONE', 'TWO', 'THREE']) {
        await addLine(page, 'words', 'Set words');
        await setToken(words(page).last(), name);
    }
    await page.locator('.grip').last().dragTo(page.locator('.drag-row').first());
    await saved(page);
    await expect(words(page).first()).toHaveValue('THREE');
    expect((await artworkOf(page, path)).layers).toHaveLength(3);
});

test('a mask, a blend, a wear of one piece and a turn are lines that can be changed and taken out', async ({ page }) => {
    const path = await newJob(page, 'Kinds of lines');
    await addLine(page, 'picture', 'Lay a picture');
    await addLine(page, 'oval', /^Mask/);
    await setToken(page.getByRole('textbox', { name: 'feather' }), '90px');
    await expect(page.getByRole('textbox', { name: 'feather' })).toHaveValue('0.30 in');
    await page.getByRole('combobox', { name: 'mask shows or hides' }).selectOption('hide');
    await addLine(page, 'multiply', /^Blend/);
    await page.getByRole('combobox', { name: 'blend mode' }).selectOption('luminosity');
    await addLine(page, 'scratches', /^Wear this piece/);
    await setToken(page.getByRole('textbox', { name: 'amount of wear' }), '22 %');
    await setToken(page.getByRole('textbox', { name: 'turn', exact: true }), '-4.5°');
    await addLine(page, 'tall', 'Stretch it');
    await setToken(page.getByRole('textbox', { name: 'height', exact: true }), '5in');
    const sheet = (await artworkOf(page, path)) as unknown as { layers: Record<string, never>[] };
    expect(sheet.layers[0]).toMatchObject({
        blend: 'luminosity', masks: [{ kind: 'ellipse', inverted: true }], distress: [{ texture: 'scratches', amount: 0.22 }], placement: { turn: -4.5, height: 5 },
    });

    for (const name of [/mask: more/, /wear: more/, /blend: more/]) {
        await act(page, name, 'Take out');
    }
    expect((await artworkOf(page, path)).layers[0]).toMatchObject({ blend: 'normal', masks: [], distress: [] });
});

test('a colour is typed, or taken from those on the sheet', async ({ page }) => {
    const path = await newJob(page, 'Colours');
    await addLine(page, 'shape', 'Draw a shape');
    await setToken(page.getByRole('textbox', { name: 'fill colour' }), 'c84');
    await expect(page.getByRole('textbox', { name: 'fill colour' })).toHaveValue('#cc8844');
    await addLine(page, 'ring', /^Outline/);
    await page.getByRole('button', { name: /^outline colour: choose/ }).click();
    await page.getByRole('button', { name: '#cc8844', exact: true }).click();
    await saved(page);
    await expect(page.getByRole('textbox', { name: 'outline colour' })).toHaveValue('#cc8844');
    const before = JSON.stringify(await artworkOf(page, path));
    await page.getByRole('textbox', { name: 'fill colour' }).fill('mud');
    await page.getByRole('textbox', { name: 'fill colour' }).press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'such as #1d2b1f' })).toBeVisible();
    expect(JSON.stringify(await artworkOf(page, path))).toBe(before);
});

test('a paper and a warp are chosen by what they look like on the piece', async ({ page }) => {
    const path = await newJob(page, 'Papers');
    await addLine(page, 'words', 'Set words');
    await page.getByRole('button', { name: 'Add a line' }).click();
    await page.getByRole('combobox', { name: /What next/ }).fill('arch');
    await expect(page.getByRole('option', { name: /^Arch/ }).locator('.tried img')).toBeVisible();
    await page.getByRole('option', { name: /^Arch/ }).click({ delay: 70 });
    await saved(page);
    await addLine(page, 'paper', /paper/);
    await page.getByRole('button', { name: 'paper: gingham, choose' }).click({ delay: 70 });
    const plaid = page.getByRole('listbox', { name: 'paper' }).getByRole('option', { name: 'plaid' });
    await expect(plaid.locator('img')).toBeVisible();
    await plaid.click({ delay: 70 });
    await saved(page);
    const kinds = ((await artworkOf(page, path)).layers[0] as unknown as { effects: unknown }).effects as { kind: string; paper?: string }[];
    expect(kinds.map((line) => [line.kind, line.paper ?? ''])).toEqual([['arch', ''], ['fill', ''], ['paper', 'plaid']]);
});

test('the garment rail shows the art on each cloth and hangs it on the peg', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('link', { name: 'Quarry Road kite day' }).click();
    const oat = page.getByRole('region', { name: 'Garment colours on offer' }).getByRole('button', { name: /^Oat/ });
    await expect(oat).toContainText(/13\.\d % lost/);
    await oat.click();
    await expect(page.locator('.peg-view .garment .cloth').first()).toHaveAttribute('fill', '#e4d9c3');
    await page.getByRole('button', { name: /On Forest/ }).click();
    await expect(page.locator('.peg-view .garment .cloth').first()).toHaveAttribute('fill', '#24382c');
});

test('shields are chosen by name, and follow when a shielded line goes', async ({ page }) => {
    const path = await newJob(page, 'Shields');
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'FACE');
    await addLine(page, 'wear', /whole sheet with scratches/);
    await page.getByRole('button', { name: /shielded lines/ }).click();
    await page.getByRole('checkbox', { name: 'FACE', exact: true }).check();
    await saved(page);
    await page.keyboard.press('Escape');
    const distress = async (): Promise<{ shielded: string[] }[]> => ((await artworkOf(page, path)) as unknown as { distress: { shielded: string[] }[] }).distress;
    await expect.poll(async () => (await distress())[0]?.shielded).toEqual(['line-1']);
    await act(page, 'FACE', 'Take out');
    expect((await distress())[0]?.shielded).toEqual([]);
});

test('when the server cannot be reached it says so, keeps the change, and saves it on the next try', async ({ page, quiet }) => {
    quiet.allow.push(/Failed to load resource|net::ERR/);
    const path = await newJob(page, 'Reached again');
    await addLine(page, 'words', 'Set words');
    await page.route('**/artwork', (route) => route.abort());
    await words(page).fill('STILL HERE');
    await words(page).press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'cannot be reached' })).toBeVisible();
    await expect(page.locator('.top-job [role=status]')).toHaveText('not saved');
    await expect(words(page)).toHaveValue('STILL HERE');
    await page.unroute('**/artwork');
    await page.getByRole('button', { name: 'Try again' }).click();
    await saved(page);
    expect(JSON.stringify(await artworkOf(page, path))).toContain('STILL HERE');
});

test('all of it goes by keyboard: from New job to a moved piece', async ({ page }) => {
    await page.goto('/new');
    await page.getByRole('textbox', { name: 'Title' }).focus();
    await page.keyboard.type('By keys');
    await page.getByRole('button', { name: 'Start on the bench' }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Add a line' }).focus();
    await page.keyboard.press('Enter');
    await page.keyboard.type('draw');
    await page.keyboard.press('Enter');
    await saved(page);
    await expect(page.locator('[data-layer]')).toHaveCount(1);
    await page.locator('svg.peg-view').focus();
    await page.keyboard.press('ArrowDown');
    await saved(page);
    await expect(page.getByRole('textbox', { name: 'centre from the top' })).toHaveValue('6.01 in');
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('textbox', { name: 'centre from the top' })).toHaveValue('6.00 in');
});
