import { PNG } from 'pngjs';
import { addLine, artworkOf, expect, layer, newJob, onSheet, saved, setToken, showAllGauges, test, words } from './bench';
import type { Page } from '@playwright/test';

type Sheet = { layers: { id: string; name: string; role: Record<string, unknown>; masks: Record<string, unknown>[]; effects: Record<string, unknown>[]; distress: Record<string, unknown>[]; source: Record<string, unknown> }[]; distress: Record<string, unknown>[]; limits: Record<string, number> };
const sheetOf = async (page: Page, path: string): Promise<Sheet> => (await artworkOf(page, path)) as unknown as Sheet;

/** The real proof of a job as it stands. */
async function proof(page: Page, path: string, ppi = 30): Promise<PNG> {
    const id = /jobs\/(\d+)/.exec(path)?.[1];
    const job = (await (await page.request.get(`/api/jobs/${id}`)).json()) as { revision: number };
    return PNG.sync.read(await (await page.request.get(`/api/revisions/${job.revision}/proof.png?ppi=${ppi}`)).body());
}

const alphaAt = (png: PNG, x: number, y: number, ppi = 30): number => png.data[(Math.round(y * ppi) * png.width + Math.round(x * ppi)) * 4 + 3] ?? -1;

async function plate(page: Page, title: string): Promise<string> {
    const path = await newJob(page, title);
    await addLine(page, 'shape', 'Draw a shape');
    await page.getByRole('combobox', { name: 'shape', exact: true }).selectOption('rectangle');
    await setToken(page.getByRole('textbox', { name: 'width', exact: true }), '8 in');
    await setToken(page.getByRole('textbox', { name: 'centre from the top' }), '6 in');
    return path;
}

test('a brush erases with the pointer and restores with the keyboard, and each stroke can be taken back', async ({ page }) => {
    const path = await plate(page, 'Brushed');
    await addLine(page, 'brush', 'Brush parts away');
    await expect(page.getByRole('group', { name: 'Brush', exact: true })).toBeVisible();
    const from = await onSheet(page, 3, 6);
    const to = await onSheet(page, 9, 6);
    const put = page.waitForResponse((response) => response.url().endsWith('/artwork') && response.request().method() === 'PUT');
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move((from.x + to.x) / 2, from.y, { steps: 6 });
    await page.mouse.move(to.x, to.y, { steps: 6 });
    await page.mouse.up();
    await put;
    await saved(page);
    let png = await proof(page, path);
    expect(alphaAt(png, 5, 6)).toBe(0);
    expect(alphaAt(png, 5, 5)).toBe(255);

    // By keys: the cross starts in the middle of the sheet; a point there and one half an inch lower, restoring.
    await page.getByRole('combobox', { name: 'the brush' }).selectOption('restores');
    const peg = page.getByRole('application');
    await peg.focus();
    for (const key of [' ', 'Shift+ArrowDown', ' ']) {
        await peg.press(key);
    }
    const again = page.waitForResponse((response) => response.url().endsWith('/artwork') && response.request().method() === 'PUT');
    await peg.press('Enter');
    await again;
    await saved(page);
    png = await proof(page, path);
    expect(alphaAt(png, 6, 6)).toBe(255);
    expect(alphaAt(png, 4, 6)).toBe(0);
    await page.getByRole('button', { name: 'Done' }).click();
    expect((await sheetOf(page, path)).layers[0]?.masks[0]?.['strokes']).toHaveLength(2);
    await page.getByRole('button', { name: 'take the last back' }).click();
    await saved(page);
    expect((await sheetOf(page, path)).layers[0]?.masks[0]?.['strokes']).toHaveLength(1);
});

test('a ring goes around what a mask leaves, or is cut, too', async ({ page }) => {
    const path = await plate(page, 'Porthole');
    await addLine(page, 'ellipse', 'Mask to an ellipse');
    await addLine(page, 'outline', /^Outline/);
    await setToken(page.getByRole('textbox', { name: 'outline width' }), '0.5 in');
    const rings = page.getByRole('combobox', { name: 'rings of a masked piece' });
    await expect(rings).toHaveValue('around');
    await saved(page);
    // The plate is 8 in wide about 6, 6: the ring lies beyond its circle, and nothing in its corners.
    const seen = async (): Promise<number[]> => {
        const png = await proof(page, path);
        return [alphaAt(png, 6, 1.75), alphaAt(png, 9, 3), alphaAt(png, 9.6, 2.4)];
    };
    expect(await seen()).toEqual([255, 255, 0]);
    await rings.selectOption('cut');
    await saved(page);
    expect(await seen()).toEqual([0, 0, 0]);
    // No ring can go around a soft edge.
    await setToken(page.getByRole('textbox', { name: 'feather' }), '0.5 in');
    await expect(rings).toHaveCount(0);
});

test('a part is drawn round and taken out as a piece of its own', async ({ page }) => {
    const path = await plate(page, 'Taken out');
    await addLine(page, 'take a part', 'Take a part out');
    const corners = await Promise.all([[4, 4], [7, 4], [7, 7], [4, 7], [4, 4.2]].map(([x, y]) => onSheet(page, x ?? 0, y ?? 0)));
    await page.mouse.move(corners[0]?.x ?? 0, corners[0]?.y ?? 0);
    await page.mouse.down();
    for (const corner of corners.slice(1)) {
        await page.mouse.move(corner.x, corner.y, { steps: 8 });
    }
    await page.mouse.up();
    await expect(page.locator('[data-layer]')).toHaveCount(2);
    await saved(page);
    const { layers } = await sheetOf(page, path);
    expect(layers.map((one) => one.masks[0]?.['inverted'])).toEqual([true, false]);
    // Moved away, the part leaves a hole.
    await setToken(page.getByRole('textbox', { name: 'centre from the left' }), '9.5 in');
    const png = await proof(page, path);
    expect(alphaAt(png, 5.5, 5.5)).toBe(0);
    expect(alphaAt(png, 9, 5.5)).toBe(255);
});

test('a scan is freed from its paper, by the mend and by its colours, and what goes is shown in a loud colour first', async ({ page }) => {
    const path = await newJob(page, 'Freed');
    await addLine(page, 'picture', 'Lay a picture');
    await page.getByRole('button', { name: /^picture:/ }).click();
    await page.getByRole('searchbox', { name: 'Filter by name' }).fill('scanned');
    await page.locator('.finder-rows').getByRole('button', { name: /^Moth scanned on paper(?!.*favourite)/ }).click();
    await saved(page);
    const gauge = page.getByRole('region', { name: 'Gauges' }).getByRole('button', { name: /background/ });
    await gauge.click();
    await page.getByRole('button', { name: 'Clear it from the edge' }).click();
    await saved(page);
    await setToken(page.getByRole('textbox', { name: 'tolerance', exact: true }), '22');
    await page.getByRole('combobox', { name: 'What the peg shows' }).selectOption('taken');
    await layer(page, 'moth-scan').locator('.number').click();
    await expect(page.locator('image.overlay')).toHaveAttribute('href', /show=taken/);
    const loud = PNG.sync.read(await (await page.request.get((await page.locator('image.overlay').getAttribute('href')) ?? '')).body());
    const seen = [...Array(loud.width * loud.height).keys()].filter((i) => (loud.data[i * 4 + 3] ?? 0) > 200);
    expect(seen.length).toBeGreaterThan(loud.width * loud.height * 0.03);
    expect([...loud.data.subarray((seen[0] ?? 0) * 4, (seen[0] ?? 0) * 4 + 3)]).toEqual([255, 0, 200]);

    await addLine(page, 'hide some', 'Hide some of its colours');
    const buckets = page.getByRole('group', { name: 'colours of the picture, press to hide' });
    await expect(buckets.getByRole('button').first()).toBeVisible();
    await buckets.getByRole('button').first().click();
    await saved(page);
    await expect(buckets.getByRole('button', { pressed: true })).toHaveCount(1);
    expect((await sheetOf(page, path)).layers[0]?.effects.map((line) => line['kind'])).toEqual(['clear-edge', 'clear-buckets']);
});

test('a subject is kept by a scribble, and what is left shows while it is drawn', async ({ page }) => {
    const path = await newJob(page, 'Subject');
    await addLine(page, 'picture', 'Lay a picture');
    await page.getByRole('button', { name: /^picture:/ }).click();
    await page.getByRole('searchbox', { name: 'Filter by name' }).fill('scanned');
    await page.locator('.finder-rows').getByRole('button', { name: /^Moth scanned on paper(?!.*favourite)/ }).click();
    await saved(page);
    await addLine(page, 'subject', 'Keep its subject, by a scribble');
    await saved(page);
    let release = (): void => {};
    const asked = new Promise<void>((done) => { release = done; });
    await page.route('**/before/0.png', async (route) => {
        await asked;
        await route.continue();
    });
    await page.getByRole('button', { name: 'What is the subject? mark it on the picture' }).click({ delay: 70 });
    const room = page.getByRole('application', { name: 'the picture' });
    await expect(page.getByRole('status').filter({ hasText: 'as soon as something is drawn' })).toBeVisible();
    // The picture comes late: the marks wait for it, and nothing moves when it is there.
    await expect(page.getByRole('status').filter({ hasText: 'Loading the picture' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Use these marks' })).toBeDisabled();
    await page.getByRole('heading', { name: 'What is the subject?' }).hover({ trial: true });
    const buttons = await page.getByRole('button', { name: 'Use these marks' }).boundingBox();
    release();
    await expect(page.getByRole('status').filter({ hasText: 'Loading the picture' })).toBeHidden();
    expect(await page.getByRole('button', { name: 'Use these marks' }).boundingBox()).toEqual(buttons);
    const box = await room.getByRole('img', { name: 'The picture as it is before this line' }).boundingBox();
    expect(box?.width ?? 0).toBeGreaterThan(200);
    const at = (x: number, y: number): [number, number] => [(box?.x ?? 0) + (box?.width ?? 0) * x, (box?.y ?? 0) + (box?.height ?? 0) * y];
    await page.mouse.move(...at(0.45, 0.5));
    await page.mouse.down();
    await page.mouse.move(...at(0.55, 0.5), { steps: 6 });
    await page.waitForTimeout(70);
    await page.mouse.up();
    await expect(page.getByRole('status').filter({ hasText: 'What is pale goes.' })).toBeVisible();
    // What is left lies over the picture, its paper clear, and nothing moved.
    const left = room.getByRole('img', { name: 'What is left of it' });
    expect(Math.abs(((await left.boundingBox())?.width ?? 0) - (box?.width ?? 0))).toBeLessThan(1);
    expect(await page.getByRole('button', { name: 'Use these marks' }).boundingBox()).toEqual(buttons);
    const alphas = await left.evaluate((image: HTMLImageElement) => {
        const canvas = new OffscreenCanvas(image.naturalWidth, image.naturalHeight);
        const context = canvas.getContext('2d');
        context?.drawImage(image, 0, 0);
        const alpha = (x: number, y: number): number => context?.getImageData(Math.floor(x * image.naturalWidth), Math.floor(y * image.naturalHeight), 1, 1).data[3] ?? -1;
        return [alpha(0.02, 0.02), alpha(0.5, 0.5)];
    });
    expect(alphas).toEqual([0, 255]);
    // By keys as well: a point that goes, from the middle five steps up and to the left.
    await page.getByRole('combobox', { name: 'what it means' }).selectOption('drops');
    await room.focus();
    for (const key of ['Shift+ArrowLeft', 'Shift+ArrowUp', ' ', 'Enter']) {
        await page.keyboard.press(key);
    }
    await expect(page.getByRole('button', { name: 'Take back the last' })).toBeEnabled();
    await page.getByRole('button', { name: 'Take back the last' }).click({ delay: 70 });
    await page.getByRole('button', { name: 'Use these marks' }).click({ delay: 70 });
    await saved(page);
    const scribbles = (await sheetOf(page, path)).layers[0]?.effects[0]?.['scribbles'] as { keeps: boolean }[];
    expect(scribbles.map((one) => one.keeps)).toEqual([true]);
});

test('a piece knocks out what lies below and sits in its own gap, from chosen lines alone if asked', async ({ page }) => {
    const path = await plate(page, 'Gap');
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'III');
    await setToken(page.getByRole('textbox', { name: 'centre from the top' }), '6 in');
    await addLine(page, 'gap', 'Set it in the gap, hollow');
    await expect(page.getByRole('combobox', { name: 'what stands in the gap' })).toHaveValue('sets');
    const hollow = await proof(page, path, 60);
    expect((await sheetOf(page, path)).layers[1]?.role).toMatchObject({ kind: 'knockout', sets: true, from: [] });
    const row = [...Array(hollow.width).keys()].map((x) => hollow.data[(360 * hollow.width + x) * 4 + 3] ?? 0);
    // Cloth within the hollow letters and about them: ink, cloth, line, cloth, line, cloth, ink ...
    expect(row.map((a) => (a > 127 ? 1 : 0)).join('').match(/01/g)?.length).toBeGreaterThan(5);
    await page.getByRole('button', { name: 'knocked out of, choose' }).click();
    await page.getByRole('group', { name: /Taken from these alone/ }).getByRole('checkbox').first().check();
    await saved(page);
    expect((await sheetOf(page, path)).layers[1]?.role['from']).toHaveLength(1);
});

test('a feather becomes a halftone, and wear is brushed, limited and measured', async ({ page }) => {
    const path = await plate(page, 'Dots and wear');
    await addLine(page, 'oval', 'Mask to an ellipse');
    await setToken(page.getByRole('textbox', { name: 'feather' }), '1 in');
    await addLine(page, 'halftone its', 'Halftone its fades');
    await addLine(page, 'whole sheet with cracks', /cracks/);
    await setToken(page.getByRole('textbox', { name: 'amount of wear' }), '15 %');
    await setToken(page.getByRole('textbox', { name: 'letter may lose' }), '30 %');
    await page.getByRole('button', { name: 'brush it' }).click();
    const at = await onSheet(page, 6, 6);
    const put = page.waitForResponse((response) => response.url().endsWith('/artwork') && response.request().method() === 'PUT');
    await page.mouse.move(at.x, at.y);
    await page.mouse.down();
    await page.mouse.move(at.x + 30, at.y, { steps: 4 });
    await page.mouse.up();
    await put;
    await saved(page);
    const sheet = await sheetOf(page, path);
    expect(sheet.limits['letterLost']).toBe(0.3);
    expect((sheet.distress[0]?.['strokes'] as unknown[])?.length).toBe(1);
    await showAllGauges(page);
    await expect(page.getByRole('region', { name: 'Gauges' })).toContainText(/% worn/);
});
