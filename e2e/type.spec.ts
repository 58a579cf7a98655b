import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { addLine, artworkOf, choose, expect, newJob, offer, onSheet, saved, setToken, test, words } from './bench';

type Line = Record<string, unknown>;
type Sheet = { layers: { id: string; effects: Line[]; repeat?: Line; placement: { x: number; y: number; width: number | null; height: number | null; flip: string } }[]; swatches: Line[] };
const sheetOf = async (page: Parameters<typeof artworkOf>[0], path: string): Promise<Sheet> => (await artworkOf(page, path)) as unknown as Sheet;

async function into(page: Page, font: string): Promise<void> {
    await page.getByRole('button', { name: /^font: .*choose/ }).click();
    // The finder takes what is typed at once.
    await expect(page.getByRole('searchbox', { name: 'Filter by name' })).toBeFocused();
    await page.keyboard.type(font);
    await page.locator('.finder-row').first().getByRole('button', { name: font }).first().click();
    await saved(page);
}

test('words are set line by line, warped, ringed and filled by lines of the sheet', async ({ page }) => {
    const path = await newJob(page, 'All of type');
    await addLine(page, 'words', 'Set words');
    await words(page).fill('TIDE POOL\nRANGERS');
    await words(page).press('Enter');
    await saved(page);
    for (const [typed, verb] of [
        ['kern', 'Kern a pair'], ['capitals', 'Set in capitals'], ['feature', 'Use a font feature'], ['first and last', 'Larger first and last letters'], ['own way', 'Set one line its own way'],
        ['one width', 'Fit every line to one width'], ['stretch tall', 'Stretch tall or wide'], ['bulge', 'Bulge'], ['wave', /^Wave on/], ['embolden', 'Embolden'], ['gap', 'Leave a gap between rings'],
        ['outline', /^Outline/], ['shadow', 'Cast a hard shadow'], ['each letter', 'Colour each letter'], ['hatch', 'Hatch or etch'],
    ] as [string, string | RegExp][]) {
        await addLine(page, typed, verb);
    }
    await setToken(page.getByRole('textbox', { name: 'kerning', exact: true }), '-90');
    await setToken(page.getByRole('textbox', { name: 'size of end letters' }), '140 %');
    await page.getByRole('combobox', { name: 'bulge told by' }).selectOption('inches');
    await setToken(page.getByRole('textbox', { name: 'bulge in inches' }), '12 mm');
    await expect(page.getByRole('textbox', { name: 'bulge', exact: true })).toHaveCount(0);
    await page.getByRole('button', { name: 'letter colours: one more' }).click();
    await saved(page);
    const { layers } = await sheetOf(page, path);
    const kinds = layers[0]?.effects.map((line) => line['kind']);
    // Setting and warps before ink, whenever they were added; the hatching last.
    expect(kinds?.slice(0, 9).sort()).toEqual(['bulge', 'case', 'feature', 'fit-lines', 'kerning', 'larger-ends', 'line', 'stretch', 'wave']);
    expect(kinds?.slice(-1)).toEqual(['hatch']);
    expect(layers[0]?.effects.find((line) => line['kind'] === 'bulge')).toMatchObject({ by: 'inches', rise: expect.closeTo(0.4724, 3) });
    expect(layers[0]?.effects.find((line) => line['kind'] === 'letter-colours')?.['colours']).toHaveLength(4);

    await page.getByRole('combobox', { name: 'what tells the size' }).selectOption('height');
    await setToken(page.getByRole('textbox', { name: 'height', exact: true }), '4 in');
    await expect(page.locator('.readout').first()).toContainText(/× 4\.00 in/);
});

test('the words are seen in each font, and a favourite comes first', async ({ page }) => {
    await newJob(page, 'Fonts');
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'BELL RINGERS');
    await page.getByRole('button', { name: /^font: .*choose/ }).click();
    const finder = page.getByRole('region', { name: 'Your words in each font' });
    await expect(finder.getByRole('img', { name: 'BELL RINGERS in Alfa Slab One' })).toBeVisible();
    await choose(finder, 'Genre', 'blackletter');
    await expect(finder.getByRole('status')).toHaveText(/^3 of \d+$/);
    await finder.getByRole('button', { name: 'Pirata One: favourite' }).click();
    await choose(finder, 'Genre', 'every genre');
    await expect(finder.locator('.finder-row').first()).toContainText('Pirata One');
    await finder.getByRole('button', { name: /BELL RINGERS in Pirata One/ }).click();
    await saved(page);
    await expect(page.getByRole('button', { name: 'font: Pirata One, choose' })).toBeVisible();
    await page.reload();
    await page.getByRole('button', { name: 'font: Pirata One, choose' }).click();
    await expect(page.locator('.finder-row').first().getByRole('button', { name: 'Pirata One: favourite' })).toHaveAttribute('aria-pressed', 'true');
});

test('a variable font is set at a weight, line by line, and says what another font cannot do', async ({ page }) => {
    const path = await newJob(page, 'Weights');
    await addLine(page, 'words', 'Set words');
    await words(page).fill('TIDE\nPOOL');
    await words(page).press('Enter');
    await into(page, 'Anybody');
    await addLine(page, 'bold', 'Set the weight of its letters');
    const weight = page.getByRole('textbox', { name: 'weight', exact: true });
    await expect(weight).toHaveValue('900');
    await weight.fill('1200');
    await weight.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'The weight runs from 100 to 900.' })).toBeVisible();
    await setToken(weight, '650');
    await page.getByRole('combobox', { name: 'lines that it is for' }).selectOption({ label: 'line 2, POOL' });
    await saved(page);
    expect((await sheetOf(page, path)).layers[0]?.effects.find((line) => line['kind'] === 'variation')).toMatchObject({ axis: 'wght', value: 650, line: 2 });
    await page.getByRole('combobox', { name: 'axis of the font' }).selectOption('width');
    await expect(page.getByRole('textbox', { name: 'width', exact: true }).last()).toHaveValue('150');
    await saved(page);
    await page.reload();
    await expect(page.locator('.idle-line')).toHaveCount(0);
    await into(page, 'Anton');
    await expect(page.locator('.idle-line')).toContainText('this font does not vary so');
});

test('letters are set in other forms of their font, and signs are written that no keyboard has', async ({ page }) => {
    const path = await newJob(page, 'Tails');
    await addLine(page, 'words', 'Set words');
    await words(page).fill('Quarry road');
    await words(page).press('Enter');
    await into(page, 'Style Script');
    await addLine(page, 'swash', 'Choose other forms of letters');
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'd, letter 10' }).click({ delay: 70 });
    await expect(dialog.getByRole('button', { name: 'd, letter 10' })).toHaveAttribute('aria-pressed', 'true');
    await dialog.getByRole('combobox', { name: 'A form is for' }).click({ delay: 70, force: true });
    await page.getByRole('option', { name: 'the last letter of each word' }).click({ delay: 70 });
    const swash = dialog.getByRole('button', { name: 'swash', exact: true });
    await swash.click({ delay: 70 });
    await expect(swash).toHaveAttribute('aria-pressed', 'true');
    await saved(page);
    const features = async (): Promise<Line[]> => ((await sheetOf(page, path)).layers[0]?.effects ?? []).filter((line) => line['kind'] === 'feature');
    expect(await features()).toMatchObject([{ tag: 'swsh', value: 1, letters: 'last-of-words' }]);

    // Another form of the same letters takes its place; the usual one takes the line out.
    await dialog.getByRole('button', { name: 'end of a word' }).click({ delay: 70 });
    await expect(dialog.getByRole('button', { name: 'end of a word' })).toHaveAttribute('aria-pressed', 'true');
    await saved(page);
    expect(await features()).toMatchObject([{ tag: 'fina', letters: 'last-of-words' }]);
    await dialog.getByRole('button', { name: 'as usual' }).click({ delay: 70 });
    await expect(dialog.getByRole('button', { name: 'as usual' })).toHaveAttribute('aria-pressed', 'true');
    await saved(page);
    expect(await features()).toEqual([]);

    await dialog.getByRole('tab', { name: 'All characters' }).click({ delay: 70 });
    await dialog.getByRole('searchbox', { name: /^Find by name/ }).fill('dagger');
    await dialog.getByRole('button', { name: 'Write double dagger' }).click({ delay: 70 });
    await saved(page);
    // Behind the words at first, then where the cursor is; and the cursor stands behind what was written.
    const field = dialog.getByRole('textbox', { name: /^Words: put the cursor/ });
    await expect(field).toHaveValue('Quarry road‡');
    await field.click({ delay: 70 });
    await page.keyboard.press('Home');
    for (const times of [1, 2]) {
        await dialog.getByRole('button', { name: 'Write double dagger' }).click({ delay: 70 });
        await saved(page);
        await expect(field).toHaveValue(`${'‡'.repeat(times)}Quarry road‡`);
    }
    await dialog.getByRole('searchbox', { name: /^Find by name/ }).fill('no such sign');
    await expect(dialog.getByText('The font has no such character.')).toBeVisible();
    await dialog.getByRole('button', { name: 'Done' }).click({ delay: 70 });
    await expect(words(page)).toHaveValue('‡‡Quarry road‡');
});

test('words stand around a round plate, stay there when they change, and turn about its middle', async ({ page }) => {
    const path = await newJob(page, 'A seal');
    await addLine(page, 'draw a shape', 'Draw a shape');
    await setToken(page.getByRole('textbox', { name: 'width', exact: true }), '8 in');
    await addLine(page, 'set words', 'Set words');
    await setToken(words(page), 'BELL RINGERS');
    const place = async (): Promise<{ x: number; y: number; turn?: number; capitals?: number }> => (await sheetOf(page, path)).layers[1]?.placement as never;
    const plate = (await sheetOf(page, path)).layers[0]?.placement;
    await page.getByRole('button', { name: 'Arrange the chosen line' }).click();
    const arrange = page.getByRole('group', { name: 'Arrange 1 lines' });
    await arrange.getByRole('combobox', { name: 'side of its edge' }).selectOption('outside');
    await arrange.getByRole('button', { name: 'Stand', exact: true }).click({ delay: 70 });
    await saved(page);
    await page.keyboard.press('Escape');
    expect(await place()).toMatchObject({ x: plate?.x, y: plate?.y });
    const diameter = page.getByRole('textbox', { name: 'circle through the middle of the capitals' });
    const [told, letters] = [await diameter.inputValue(), (await place()).capitals];
    expect(Number.parseFloat(told)).toBeGreaterThan(8);
    await setToken(words(page), 'BELL RINGERS OF QUARRY ROAD');
    await expect(diameter).toHaveValue(told);
    expect(await place()).toMatchObject({ x: plate?.x, y: plate?.y, capitals: letters });

    // By the knob above them, about the middle of the plate.
    const knob = await page.locator('.hold-turn').boundingBox();
    const box = await page.locator('.hold-box').boundingBox();
    if (!knob || !box) {
        throw new Error('nothing is held');
    }
    await page.mouse.move(knob.x + knob.width / 2, knob.y + knob.height / 2);
    await page.mouse.down();
    await page.mouse.move(knob.x + 120, knob.y + 60, { steps: 6 });
    await page.mouse.up();
    await saved(page);
    const turned = await place();
    expect(turned.turn).toBeGreaterThan(10);
    expect(turned).toMatchObject({ x: plate?.x, y: plate?.y });

    await page.getByRole('combobox', { name: 'where they stand' }).selectOption('under');
    await saved(page);
    await addLine(page, 'around', 'Stand its letters around Ellipse, inside its edge');
    await expect(diameter).not.toHaveValue(told);
    expect((await sheetOf(page, path)).layers[1]?.effects.filter((line) => line['kind'] === 'around')).toHaveLength(1);
});

test('a colour of the job changes on every line, is picked from the peg, and goes out as a palette', async ({ page }) => {
    const path = await newJob(page, 'Colours of the job');
    await addLine(page, 'shape', 'Draw a shape');
    await page.locator('.job-colours summary').click();
    // Its colour is one that stands out on every cloth of the brief.
    await page.getByRole('button', { name: /^name #/ }).click();
    await saved(page);
    const name = page.getByRole('textbox', { name: 'Colour 1, name' });
    await name.fill('Bone');
    await name.press('Enter');
    await saved(page);
    await expect(page.getByRole('textbox', { name: 'fill colour' })).toHaveValue('Bone');
    const ink = page.getByRole('textbox', { name: 'Bone, colour' });
    await ink.fill('#2f6f73');
    await ink.press('Enter');
    await saved(page);

    // What the peg shows at the middle of the shape is the new colour.
    await addLine(page, 'outline', /^Outline/);
    await page.getByRole('button', { name: /^outline colour: choose/ }).click();
    await page.getByRole('button', { name: 'Pick from the peg' }).click();
    const at = (await sheetOf(page, path)).layers[0] as unknown as { placement: { x: number; y: number } };
    const place = await onSheet(page, at.placement.x, at.placement.y);
    await page.mouse.click(place.x, place.y);
    await expect(page.getByRole('textbox', { name: 'outline colour' })).toHaveValue('#2f6f73');
    await saved(page);

    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Palette out' }).click()]);
    const gpl = readFileSync((await download.path()) ?? '', 'utf8');
    expect(gpl).toBe('GIMP Palette\nName: Colours of the job\nColumns: 8\n#\n 47 111 115\tBone\n');
    const file = join(mkdtempSync(join(tmpdir(), 'crow-')), 'more.gpl');
    writeFileSync(file, gpl.replace('47 111 115\tBone', '176 74 44\tBone\n  1   2   3\tNight'));
    await page.locator('.job-colours input[type=file]').setInputFiles(file);
    await expect(page.getByRole('textbox', { name: 'Night, name' })).toBeVisible();
    expect((await sheetOf(page, path)).swatches).toEqual([{ name: 'Bone', colour: '#b04a2c' }, { name: 'Night', colour: '#010203' }]);
});

test('several pieces are chosen, aligned to what is said, spaced, sized and kept together', async ({ page }) => {
    const path = await newJob(page, 'Several');
    for (const [i, x] of ['3 in', '5 in', '9.5 in'].entries()) {
        await addLine(page, 'shape', 'Draw a shape');
        await setToken(page.getByRole('textbox', { name: 'width', exact: true }).last(), '1 1/2 in');
        await setToken(page.getByRole('textbox', { name: 'centre from the left' }).last(), x);
        await setToken(page.getByRole('textbox', { name: 'centre from the top' }).last(), `${2.5 + i * 2} in`);
    }
    const line = (i: number): ReturnType<typeof page.locator> => page.locator('.drag-row').nth(i).locator('.number').first();
    await line(0).click();
    await line(1).click({ modifiers: ['Shift'] });
    await line(2).click({ modifiers: ['Shift'] });
    await page.getByRole('button', { name: 'Arrange 3 lines' }).click();
    const panel = page.getByRole('group', { name: 'Arrange 3 lines' });
    await expect(panel.getByRole('combobox', { name: 'align to' })).toHaveValue('selection');
    await panel.getByRole('combobox', { name: 'what to align' }).selectOption('left');
    await panel.getByRole('button', { name: 'Align' }).click();
    await saved(page);
    await expect.poll(async () => (await sheetOf(page, path)).layers.map((one) => one.placement.x)).toEqual([3, 3, 3]);
    await panel.getByRole('combobox', { name: 'align to' }).selectOption('sheet');
    await panel.getByRole('combobox', { name: 'what to align' }).selectOption('middle');
    await panel.getByRole('button', { name: 'Align' }).click();
    await expect.poll(async () => (await sheetOf(page, path)).layers.map((one) => one.placement.x)).toEqual([6, 6, 6]);
    await panel.getByRole('textbox', { name: 'gap between pieces' }).fill('0.25 in');
    await panel.getByRole('textbox', { name: 'gap between pieces' }).press('Enter');
    await expect(panel.getByRole('button', { name: 'or equal gaps' })).toBeVisible();
    await panel.getByRole('button', { name: 'Space' }).click();
    await expect.poll(async () => (await sheetOf(page, path)).layers.map((one) => Number(one.placement.y.toFixed(4)))).toEqual([2.5, 4.25, 6]);
    await panel.getByRole('button', { name: 'Keep together' }).click();
    await expect(page.getByText('Group: 3 pieces')).toBeVisible();
    // What is taken out leaves nothing to arrange, and nothing that could still be pressed.
    await page.getByRole('button', { name: 'Take out', exact: true }).click({ delay: 70 });
    await expect(page.getByRole('button', { name: 'Flip down' })).toBeHidden();
    await expect(page.getByRole('button', { name: 'Arrange chosen lines' })).toBeDisabled();
});

test('a piece is repeated about a centre, and a grid has frames of its own fills', async ({ page }) => {
    const path = await newJob(page, 'Repeats');
    await addLine(page, 'grid', 'Lay out a grid of frames');
    await addLine(page, 'only', 'Fill only a part');
    await page.getByRole('combobox', { name: 'part', exact: true }).selectOption('one-letter');
    await setToken(page.getByRole('textbox', { name: 'number of the letter, word or line' }), '4');
    await addLine(page, 'gingham', 'Fill with a paper');
    await addLine(page, 'shape', 'Draw a shape');
    await setToken(page.getByRole('textbox', { name: 'width', exact: true }).last(), '1 in');
    await addLine(page, 'rays', 'Repeat it about a centre');
    await setToken(page.getByRole('textbox', { name: 'copies', exact: true }), '12');
    const sheet = await sheetOf(page, path);
    // About the middle of the piece itself, which lies in free space below the grid.
    const { x, y } = (sheet.layers[1] as unknown as { placement: { x: number; y: number } }).placement;
    const middle = { x: expect.closeTo(x, 2), y: expect.closeTo(y, 2) };
    expect(y).toBeGreaterThan(8);
    expect(sheet.layers[0]?.effects.map((line) => line['kind'])).toEqual(['fill', 'only', 'paper']);
    expect(sheet.layers[1]?.repeat).toMatchObject({ kind: 'radial', count: 12, ...middle });

    // The real picture: frame 1 in the plain fill, frame 4 in the paper.
    const id = /jobs\/(\d+)/.exec(path)?.[1];
    const job = (await (await page.request.get(`/api/jobs/${id}`)).json()) as { revision: number };
    const png = PNG.sync.read(await (await page.request.get(`/api/revisions/${job.revision}/proof.png?ppi=60`)).body());
    const colours = (left: number, top: number): number => {
        const seen = new Set<string>();
        for (let y = top; y < top + 60; y++) {
            for (let x = left; x < left + 60; x++) {
                const at = (y * png.width + x) * 4;
                seen.add([...png.data.subarray(at, at + 4)].join());
            }
        }
        return seen.size;
    };
    // Frames of 4.08 in from 1.8 in on: their far corners lie clear of the ring of shapes.
    expect(colours(115, 20)).toBe(1);
    expect(colours(400, 380)).toBeGreaterThan(2);
});

test('a zip of cuts goes on the shelf, and a bomb does not', async ({ page, quiet }) => {
    quiet.allow.push(/422/);
    const folder = mkdtempSync(join(tmpdir(), 'crow-'));
    const locked = join(folder, 'not-a-pack.zip');
    writeFileSync(locked, Buffer.concat([Buffer.from('PK\x03\x04'), Buffer.alloc(200)]));
    await offer(page, locked, 'bought for the shop');
    await expect(page.getByRole('alert').filter({ hasText: 'This pack cannot be used' })).toBeVisible();
    // It is let go by its own button, which says what it does.
    await page.getByRole('button', { name: 'Leave not-a-pack.zip out' }).click({ delay: 70 });
    await expect(page.getByRole('button', { name: /^Leave .* out$/ })).toHaveCount(0);
});
