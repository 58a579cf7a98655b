import { addLine, artworkOf, expect, newJob, saved, test } from './bench';

/** A stroke of the pen over the peg, in shares of the print area. */
async function stroke(page: import('@playwright/test').Page, points: [number, number][]): Promise<void> {
    const area = await page.locator('image').first().boundingBox();
    if (!area) {
        throw new Error('The print area is not shown.');
    }
    const at = ([x, y]: [number, number]): [number, number] => [area.x + area.width * x, area.y + area.height * y];
    const [first, ...rest] = points;
    await page.mouse.move(...at(first ?? [0.5, 0.5]));
    await page.mouse.down();
    await page.waitForTimeout(70);
    for (const point of rest) {
        await page.mouse.move(...at(point), { steps: 4 });
    }
    const drawn = page.waitForResponse((response) => response.url().endsWith('/operations'));
    await page.mouse.up();
    await drawn;
    await saved(page);
}

test('draws ink by hand, stroke after stroke of one drawing, that can be set anew', async ({ page }) => {
    const path = await newJob(page, 'By hand');
    await page.getByRole('button', { name: 'Add a line' }).click();
    await page.getByRole('combobox', { name: /What next/ }).fill('draw by hand');
    await page.getByRole('option', { name: 'Draw by hand' }).first().click();
    await stroke(page, [[0.2, 0.4], [0.5, 0.3], [0.8, 0.4]]);
    await page.getByRole('combobox', { name: 'tip of the brush' }).selectOption('spray');
    await stroke(page, [[0.3, 0.7], [0.7, 0.7]]);
    const { layers } = await artworkOf(page, path);
    expect(layers).toHaveLength(1);
    const drawn = layers[0]?.source as unknown as { kind: string; ink: { tip: string }[] };
    expect(drawn.kind).toBe('drawn');
    expect(drawn.ink.map((one) => one.tip)).toEqual(['round', 'spray']);
    await page.getByRole('button', { name: 'Done' }).click();
    await page.getByRole('button', { name: '2 strokes', exact: true }).click();
    await page.getByRole('combobox', { name: 'tip of stroke 1' }).selectOption('slash');
    await saved(page);
    expect(((await artworkOf(page, path)).layers[0]?.source as unknown as { ink: { tip: string }[] }).ink[0]?.tip).toBe('slash');
});

test('sizes words by their capitals and brings another block to the same', async ({ page }) => {
    const path = await newJob(page, 'Capitals');
    await addLine(page, 'words', 'Set words');
    await page.getByRole('combobox', { name: 'what tells the size' }).selectOption('capitals');
    await saved(page);
    const { layers } = await artworkOf(page, path);
    const place = layers[0]?.placement as { capitals?: number; width: number | null };
    expect(place.width).toBeNull();
    expect(place.capitals).toBeGreaterThan(0.2);
});
