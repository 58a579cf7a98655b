import { act, addLine, artworkOf, expect, layer, newJob, onSheet, saved, setToken, test, words } from './bench';

test('tokens understand units, step by arrow keys, and say what is wrong', async ({ page, quiet }) => {
    quiet.allow.push(/422/);
    await newJob(page, 'Kite lines');
    await addLine(page, 'shape', 'Draw a shape');
    const width = page.getByRole('textbox', { name: 'width', exact: true }).first();
    await setToken(width, '1200px');
    await expect(width).toHaveValue('4.00 in');
    await width.press('ArrowUp');
    await expect(width).toHaveValue('4.01 in');
    await width.press('Shift+ArrowDown');
    await expect(width).toHaveValue('3.91 in');
    await saved(page);

    await width.fill('wide');
    await width.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: '"wide" is not a length' })).toBeVisible();
    await width.press('Escape');
    await expect(width).toHaveValue('3.91 in');
    await width.fill('900in');
    await width.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'runs from 0.05 in to 60.00 in' })).toBeVisible();
    await width.press('Escape');
    await page.reload();
    await expect(page.getByRole('textbox', { name: 'width', exact: true }).first()).toHaveValue('3.91 in');
});

test('pieces are picked by their ink, dragged with snapping, sized, turned and nudged', async ({ page }) => {
    const path = await newJob(page, 'Pegged');
    await addLine(page, 'shape', 'Draw a shape');
    await setToken(page.getByRole('textbox', { name: 'width', exact: true }).first(), '3in');
    await addLine(page, 'shape', 'Draw a shape');
    await page.getByRole('combobox', { name: 'shape', exact: true }).last().selectOption('ring');
    await setToken(page.getByRole('textbox', { name: 'centre from the top' }), '9in');
    await page.getByRole('button', { name: 'Print area' }).click();
    await expect(page.locator('svg.peg-view image').first()).toBeVisible();
    const proofs = page.waitForResponse(/layers\/line-1\.png/);
    const middle = await onSheet(page, 6, 4);
    await page.mouse.click(middle.x, middle.y);
    await expect(page.locator('[data-layer=line-1] .line.chosen').first()).toBeVisible();
    await proofs;

    // To within a few pixels of the sheet's middle across: it snaps there, and the read-out says so.
    const from = await onSheet(page, 6, 4);
    const to = await onSheet(page, 6.09, 5.3);
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 12, from.y + 20, { steps: 3 });
    await page.mouse.move(to.x, to.y, { steps: 4 });
    await expect(page.locator('.peg-says')).toContainText('in line with the middle of the sheet');
    await page.mouse.up();
    await saved(page);
    await expect.poll(async () => (await artworkOf(page, path)).layers[0]?.placement.x).toBeCloseTo(6, 3);
    const dropped = (await artworkOf(page, path)).layers[0]?.placement;
    expect(dropped?.y).toBeGreaterThan(5);

    await page.locator('svg.peg-view').focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await saved(page);
    await expect.poll(async () => (await artworkOf(page, path)).layers[0]?.placement.x).toBeCloseTo(6.11, 3);

    const corner = page.locator('.hold-corner').last();
    const at = await corner.boundingBox();
    await page.mouse.move((at?.x ?? 0) + 4, (at?.y ?? 0) + 4);
    await page.mouse.down();
    await page.mouse.move((at?.x ?? 0) + 44, (at?.y ?? 0) + 44, { steps: 5 });
    await page.mouse.up();
    await saved(page);
    await expect.poll(async () => (await artworkOf(page, path)).layers[0]?.placement.width).toBeGreaterThan(3.5);

    const knob = await page.locator('.hold-turn').boundingBox();
    await page.mouse.move((knob?.x ?? 0) + 5, (knob?.y ?? 0) + 5);
    await page.mouse.down();
    await page.mouse.move((knob?.x ?? 0) + 65, (knob?.y ?? 0) + 15, { steps: 5 });
    await page.mouse.up();
    await saved(page);
    await expect.poll(async () => Math.abs((await artworkOf(page, path)).layers[0]?.placement.turn ?? 0)).toBeGreaterThan(5);

    // A hole in a ring is no ink: a press there chooses nothing.
    const hole = await onSheet(page, 6, 9);
    await page.mouse.click(hole.x, hole.y);
    await expect(page.locator('.line.chosen')).toHaveCount(0);
});

test('lines are moved, switched off, copied, grouped, taken out, and every step can be taken back', async ({ page }) => {
    const path = await newJob(page, 'Steps');
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'FIRST');
    await addLine(page, 'words', 'Set words');
    await setToken(words(page).last(), 'SECOND');
    const order = async (): Promise<string[]> =>
        words(page).evaluateAll((areas) => areas.map((area) => (area as HTMLTextAreaElement).value));

    await layer(page, 'SECOND').getByRole('textbox', { name: 'words', exact: true }).press('Alt+ArrowUp');
    await saved(page);
    expect(await order()).toEqual(['SECOND', 'FIRST']);
    await page.getByRole('checkbox', { name: 'FIRST: line is on' }).uncheck();
    await saved(page);
    expect((await artworkOf(page, path)).layers.map((one) => one.on)).toEqual([true, false]);
    await act(page, 'FIRST', 'Copy');
    expect(await order()).toEqual(['SECOND', 'FIRST', 'FIRST']);
    await addLine(page, 'group', /Keep it together/);
    await expect(page.locator('.children [data-layer]')).toHaveCount(2);
    await page.getByRole('button', { name: 'take the group apart' }).click();
    await saved(page);
    await act(page, 'SECOND', 'Take out');
    expect(await order()).toEqual(['FIRST', 'FIRST']);

    await page.locator('.ticket-head').click();
    await page.keyboard.press('Control+z');
    await expect.poll(order).toEqual(['SECOND', 'FIRST', 'FIRST']);
    for (let i = 0; i < 3; i++) {
        await page.getByRole('button', { name: 'Step back' }).click();
        await saved(page);
    }
    await expect.poll(order).toEqual(['SECOND', 'FIRST']);
    await page.keyboard.press('Control+Shift+z');
    await expect.poll(order).toEqual(['SECOND', 'FIRST', 'FIRST']);
    await page.reload();
    await expect.poll(order).toEqual(['SECOND', 'FIRST', 'FIRST']);
});

test('a quick hand drags a piece, or draws a rectangle, before the server has said what lies there', async ({ page }) => {
    const path = await newJob(page, 'Quick');
    await addLine(page, 'shape', 'Draw a shape');
    await addLine(page, 'shape', 'Draw a shape');
    await setToken(page.getByRole('textbox', { name: 'centre from the left' }), '3 in');
    await page.locator('.peg-view').focus();
    await page.keyboard.press('Escape');
    const places = async (): Promise<number[]> => (await artworkOf(page, path)).layers.map((one) => one.placement.x);
    const before = await places();
    await page.route('**/api/revisions/*/pick*', async (route) => {
        await new Promise((done) => setTimeout(done, 600));
        await route.continue();
    });
    const flick = async (from: readonly [number, number], to: readonly [number, number]): Promise<void> => {
        const [begin, end] = [await onSheet(page, ...from), await onSheet(page, ...to)];
        await page.mouse.move(begin.x, begin.y);
        await page.mouse.down();
        await page.mouse.move(end.x, end.y, { steps: 4 });
        await page.waitForTimeout(70);
        await page.mouse.up();
    };
    const piece = (await artworkOf(page, path)).layers[0]?.placement ?? { x: 0, y: 0 };
    await flick([piece.x, piece.y], [piece.x + 1.5, piece.y + 2.2]);
    await expect.poll(async () => (await places())[0] !== before[0]).toBe(true);
    await saved(page);
    expect((await places())[1]).toBe(before[1]);
    await page.keyboard.press('Escape');
    await flick([-1, -1], [11.8, 11.8]);
    await expect(page.getByRole('button', { name: 'Arrange 2 lines' })).toBeVisible();
});

test('a font without the letters is said on the line, and nothing is lost', async ({ page, quiet }) => {
    quiet.allow.push(/404/);
    await newJob(page, 'Letters');
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'Жук');
    await expect(page.locator('.line-trouble')).toContainText('has no Ж (U+0416)');
    await expect(page.locator('.gauge').filter({ hasText: 'Cannot be drawn' })).toBeVisible();
    await setToken(words(page), 'Moth');
    await expect(page.locator('.line-trouble')).toHaveCount(0);
});

test('gauges show where, and mend in one action', async ({ page }) => {
    await newJob(page, 'Mended');
    await addLine(page, 'shape', 'Draw a shape');
    await addLine(page, 'strength', 'Print it weaker');
    const haze = page.locator('.gauge').filter({ hasText: 'Haze' });
    await expect(haze).toHaveClass(/fail/);
    await haze.getByRole('button').first().click();
    await expect(page.locator('rect.where').first()).toBeVisible();
    await haze.getByRole('button', { name: /at full strength/ }).click();
    await expect(haze).toHaveClass(/pass/);
    await expect(page.locator('.sentence').filter({ hasText: 'strength' })).toHaveCount(0);
});

test('the loupe shows print pixels one to one', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('link', { name: 'Quarry Road kite day' }).click();
    await expect(page.locator('svg.peg-view image').first()).toBeVisible();
    const answer = page.waitForResponse((response) => /proof\.png\?ppi=300&left=/.test(response.url()) && response.ok());
    await page.getByRole('button', { name: 'Loupe 1 : 1' }).click();
    await answer;
    const lens = page.locator('image.lens');
    await expect(lens).toBeVisible();
    const box = await lens.boundingBox();
    const asked = new URL(`http://x${await lens.getAttribute('href')}`).searchParams;
    expect(Math.abs((box?.width ?? 0) - Number(asked.get('width')))).toBeLessThan(1.5);
});

test('what one tab saves shows in the other; two browsers on one job never overwrite each other', async ({ page, context, browser, baseURL, quiet }) => {
    quiet.allow.push(/409/);
    const path = await newJob(page, 'Two tabs');
    await addLine(page, 'words', 'Set words');
    const beside = await context.newPage();
    await beside.goto(path);
    await setToken(words(beside), 'FROM THE TAB BESIDE');
    await expect(words(page)).toHaveValue('FROM THE TAB BESIDE');
    await beside.close();

    const other = await (await browser.newContext({ storageState: await context.storageState(), baseURL: baseURL ?? '', reducedMotion: 'reduce' })).newPage();
    await other.goto(path);
    await expect(words(other)).toBeVisible();
    await setToken(words(other), 'FROM THE OTHER');

    await words(page).fill('FROM THIS ONE');
    await words(page).press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'changed in another tab' })).toBeVisible();
    await expect(words(page)).toHaveValue('FROM THIS ONE');
    await page.getByRole('button', { name: 'Save mine as a step after it' }).click();
    await saved(page);
    await page.getByRole('button', { name: 'Step back' }).click();
    await expect(words(page)).toHaveValue('FROM THE OTHER');
    await other.context().close();
});
