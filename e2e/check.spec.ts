import { addLine, artworkOf, expect, newJob, saved, setToken, test, words } from './bench';

/** Presses as a hand does. */
async function press(page: import('@playwright/test').Page, target: import('@playwright/test').Locator): Promise<void> {
    await target.scrollIntoViewIfNeeded();
    const box = await target.boundingBox();
    if (!box) {
        throw new Error('What should be pressed is not shown.');
    }
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.waitForTimeout(70);
    await page.mouse.up();
}

test('a design is examined: a fault is shown, tried, mended by one press and taken back, or meant so', async ({ page }) => {
    const path = await newJob(page, 'Examined');
    await addLine(page, 'shape', 'Draw a shape');
    await setToken(page.getByRole('textbox', { name: 'centre from the top' }), '1 in');
    await page.goto(path.replace('/build', '/check'));
    const edges = page.getByRole('button', { name: /Edges/ });
    await expect(edges).toBeVisible();
    await press(page, edges);
    await press(page, page.getByRole('button', { name: 'Show what it would do' }).first());
    await expect(page.getByAltText('The design as the mend would leave it')).toBeVisible();
    await press(page, page.getByRole('button', { name: /^Bring .* inside$/ }));
    await expect(edges).toBeHidden();
    await page.goto(path);
    await page.getByRole('button', { name: 'Step back' }).click();
    await saved(page);
    await page.goto(path.replace('/build', '/check'));
    await press(page, edges);
    await press(page, page.getByRole('button', { name: 'it is meant so …' }));
    await page.getByRole('textbox', { name: 'Why is it meant so?' }).fill('it bleeds');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('Meant so: it bleeds')).toBeVisible();
});

test('the closer look goes where the design is pressed, and on by the arrow keys', async ({ page }) => {
    const path = await newJob(page, 'Looked at');
    await addLine(page, 'shape', 'Draw a shape');
    await page.goto(path.replace('/build', '/check'));
    const close = page.getByAltText("The place in the print's own pixels");
    const whole = page.getByRole('button', { name: /The place that is seen at 1 : 1/ });
    const looksAt = async (left: number, top: number): Promise<void> => {
        await expect.poll(async () => {
            const asked = new URLSearchParams((await close.getAttribute('src'))?.split('?')[1]);
            return Math.max(Math.abs(Number(asked.get('left')) - left), Math.abs(Number(asked.get('top')) - top));
        }).toBeLessThan(6);
    };
    // A sheet of 12 × 12 in: a quarter from the left and three quarters down is the middle of what is looked at.
    const box = await whole.boundingBox();
    await whole.hover();
    await page.mouse.move((box?.x ?? 0) + (box?.width ?? 0) / 4, (box?.y ?? 0) + ((box?.height ?? 0) * 3) / 4);
    await page.mouse.down();
    await page.waitForTimeout(70);
    await page.mouse.up();
    // Its corner lies an inch further out; a pixel of the screen is five of the print.
    await looksAt(600, 2400);
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('ArrowRight');
    await looksAt(900, 2100);
    for (let i = 0; i < 12; i++) {
        await page.keyboard.press('ArrowLeft');
    }
    await looksAt(0, 2100);
    await page.keyboard.press('ArrowRight');
    await looksAt(300, 2100);
    await expect(page.getByRole('status').filter({ hasText: 'about 2.0 in from the left and 8.0 in from the top' })).toBeAttached();
});

test('choosing a line by pressing a token of it moves nothing under the hand', async ({ page }) => {
    await newJob(page, 'Still');
    await addLine(page, 'words', 'Set words');
    await addLine(page, 'shape', 'Draw a shape');
    await addLine(page, 'outline', 'Outline');
    await page.mouse.click(700, 640);
    for (const target of [page.getByRole('textbox', { name: 'outline width' }), page.getByRole('checkbox', { name: /line is on/ }).nth(1), page.getByRole('button', { name: /: more$/ }).nth(1)]) {
        const before = await target.boundingBox();
        await page.mouse.move((before?.x ?? 0) + (before?.width ?? 0) / 2, (before?.y ?? 0) + (before?.height ?? 0) / 2);
        await page.mouse.down();
        await page.waitForTimeout(70);
        expect((await target.boundingBox())?.y).toBeCloseTo(before?.y ?? 0, 1);
        await page.mouse.up();
        await page.keyboard.press('Escape');
    }
});

test('what is typed in a token settles when the hand lets go of what it pressed next', async ({ page, quiet }) => {
    quiet.allow.push(/422/);
    await newJob(page, 'Settled');
    await addLine(page, 'shape', 'Draw a shape');
    await addLine(page, 'outline', 'Outline');
    const width = page.getByRole('textbox', { name: 'outline width' });
    const next = page.getByRole('textbox', { name: /colour$/ }).last();
    for (const [text, settled] of [['twelve feet and an inch', 'twelve feet and an inch'], ['0.123456789 in', '0.12 in']] as const) {
        await width.fill(text);
        // Its line is laid out anew as it grows.
        await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))));
        const before = await next.boundingBox();
        await page.mouse.move((before?.x ?? 0) + (before?.width ?? 0) / 2, (before?.y ?? 0) + (before?.height ?? 0) / 2);
        await page.mouse.down();
        await page.waitForTimeout(70);
        expect(await next.boundingBox()).toEqual(before);
        await expect(next).toBeFocused();
        await page.mouse.up();
        await expect(width).toHaveValue(settled);
        await expect(page.getByRole('alert').filter({ hasText: 'is not a length' })).toHaveCount(settled === text ? 1 : 0);
    }
});

test('what is typed for one piece goes to it, also when another is chosen meanwhile', async ({ page }) => {
    const path = await newJob(page, 'Two pieces');
    await addLine(page, 'shape', 'Draw a shape');
    await addLine(page, 'shape', 'Draw a shape');
    const across = async (): Promise<number[]> => (await artworkOf(page, path)).layers.map((one) => Number(one.placement.x.toFixed(3)));
    const first = (await across())[1];
    const lies = page.getByRole('group', { name: 'How the chosen piece lies' });
    const line = (at: number): ReturnType<typeof page.locator> => page.locator('.drag-row').nth(at).locator('.number').first();
    await line(0).click({ delay: 70 });
    await lies.getByRole('textbox', { name: 'centre from the left' }).fill('3 in');
    await line(1).click({ delay: 70 });
    await expect.poll(across).toEqual([3, first]);
    // A server slow to read what was typed.
    await page.route('**/api/lengths*', async (route) => {
        await new Promise((done) => setTimeout(done, 900));
        await route.continue();
    });
    await lies.getByRole('textbox', { name: 'centre from the left' }).fill('4 in');
    await lies.getByRole('textbox', { name: 'centre from the left' }).press('Enter');
    await line(0).click({ delay: 70 });
    await expect.poll(across).toEqual([3, 4]);
});

test('a word of the shop is learned, an older state is seen beside the present one and gone back to', async ({ page }) => {
    const path = await newJob(page, 'Spelt so');
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'Limpetry tide pool');
    await saved(page);
    await page.goto(path.replace('/build', '/check'));
    const row = page.getByRole('button', { name: /Limpetry/ });
    await expect(row.first()).toBeVisible();
    await press(page, row.first());
    await press(page, page.getByRole('button', { name: 'Keep "limpetry" as a word of this shop' }));
    await expect(row).toHaveCount(0);
    await press(page, page.locator('.check-older .v-field'));
    await press(page, page.getByRole('option').last());
    await expect(page.getByAltText('The design as it was')).toBeVisible();
    await press(page, page.getByRole('button', { name: 'Go back to this state' }));
    await expect(page.getByAltText('The design as it was')).toHaveCount(0);
    await expect(page.getByText(/Ink/).first()).toBeVisible();
    const download = page.waitForEvent('download');
    await press(page, page.getByRole('link', { name: 'as PDF' }));
    expect((await download).suggestedFilename()).toMatch(/^report-\d+\.pdf$/);
    await page.goto(path);
    await expect(page.getByRole('button', { name: 'Step back' })).toBeEnabled();
});

test('the peg shows the print as a press would leave it', async ({ page }) => {
    await newJob(page, 'Pressed');
    await addLine(page, 'shape', 'Draw a shape');
    const answered = page.waitForResponse((response) => response.url().includes('pressed.png') && response.status() === 200);
    await page.getByLabel('What the peg shows').selectOption('press');
    await answered;
    await expect(page.locator('image.overlay')).toHaveAttribute('href', /pressed\.png/);
});
