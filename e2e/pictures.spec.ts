import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PNG } from 'pngjs';
import { addLine, artworkOf, expect, newJob, offer, saved, test } from './bench';
import type { Locator, Page } from '@playwright/test';

/** A poster photographed askew: blue within four corners, given in shares, on a white wall. */
const CORNERS: [number, number][] = [[0.2, 0.15], [0.85, 0.25], [0.7, 0.9], [0.1, 0.7]];

function askew(): Buffer {
    const png = new PNG({ width: 600, height: 400 });
    for (let y = 0; y < png.height; y++) {
        for (let x = 0; x < png.width; x++) {
            const within = CORNERS.every(([fromX, fromY], i) => {
                const [toX, toY] = CORNERS[(i + 1) % 4] as [number, number];
                return (toX - fromX) * 600 * (y - fromY * 400) - (toY - fromY) * 400 * (x - fromX * 600) > 0;
            });
            png.data.set(within ? [20, 60, 160, 255] : [255, 255, 255, 255], (y * png.width + x) * 4);
        }
    }
    return PNG.sync.write(png);
}

async function laid(page: Page, name: string, picture: Buffer): Promise<string> {
    const file = join(mkdtempSync(join(tmpdir(), 'crow-')), `${name}.png`);
    writeFileSync(file, picture);
    await offer(page, file, 'own work');
    await expect(page.getByRole('status').filter({ hasText: `${name} is on the shelf` })).toBeVisible();
    const path = await newJob(page, `Job of ${name}`);
    await addLine(page, 'picture', 'Lay a picture');
    await page.getByRole('button', { name: /^picture:/ }).click();
    await page.getByRole('searchbox', { name: 'Filter by name' }).fill(name);
    await page.locator('.finder-rows').getByRole('button', { name: new RegExp(`^${name}(?!.*favourite)`) }).click();
    await saved(page);
    return path;
}

async function drag(page: Page, mark: Locator, to: [number, number]): Promise<void> {
    await expect(mark).toBeVisible();
    const picture = await page.getByRole('img', { name: 'The picture as it is before this line' }).boundingBox();
    const from = await mark.boundingBox();
    await page.mouse.move((from?.x ?? 0) + 13, (from?.y ?? 0) + 13);
    await page.mouse.down();
    await page.mouse.move((picture?.x ?? 0) + to[0] * (picture?.width ?? 0), (picture?.y ?? 0) + to[1] * (picture?.height ?? 0), { steps: 5 });
    await page.mouse.up();
}

test('a crooked picture is straightened by marks that are dragged and moved with keys', async ({ page }) => {
    const path = await laid(page, 'poster-askew', askew());
    await addLine(page, 'straighten', 'Straighten by four corners');
    await page.getByRole('button', { name: 'place them on the picture' }).click();
    const mark = (name: string): Locator => page.getByRole('button', { name: new RegExp(`^${name} corner`) });
    await expect(page.getByRole('img', { name: 'The picture as it is before this line' })).toBeVisible();

    // Crossed corners are said, and cannot be taken.
    await drag(page, mark('top left'), [0.9, 0.95]);
    await expect(page.getByRole('alert')).toContainText('The corners cross');
    await expect(page.getByRole('button', { name: 'Straighten it' })).toBeDisabled();

    for (const [i, name] of ['top left', 'top right', 'bottom right', 'bottom left'].entries()) {
        await drag(page, mark(name), CORNERS[i] as [number, number]);
    }
    await mark('top left').focus();
    const before = Number(/([\d.]+) % across/.exec((await mark('top left').getAttribute('aria-label')) ?? '')?.[1]);
    await page.keyboard.press('Shift+ArrowRight');
    await expect(mark('top left')).toHaveAttribute('aria-label', new RegExp(`${(before + 2).toFixed(1)} % across`));
    await page.keyboard.press('Shift+ArrowLeft');
    await page.getByRole('button', { name: 'Straighten it' }).click();
    await saved(page);

    const id = /jobs\/(\d+)/.exec(path)?.[1];
    const job = (await (await page.request.get(`/api/jobs/${id}`)).json()) as { revision: number; measures: { box: { left: number; top: number; width: number; height: number } }[] };
    const box = job.measures[0]?.box ?? { left: 0, top: 0, width: 0, height: 0 };
    // The poster's longer sides: √(390² + 40²) across and √(90² + 260²) down.
    expect(box.width / box.height).toBeCloseTo(Math.hypot(390, 40) / Math.hypot(90, 260), 1);
    const proof = PNG.sync.read(await (await page.request.get(`/api/revisions/${job.revision}/proof.png?ppi=50`)).body());
    const at = (across: number, down: number): number[] => {
        const [x, y] = [Math.round((box.left + across * box.width) * 50), Math.round((box.top + down * box.height) * 50)];
        return [...proof.data.subarray((y * proof.width + x) * 4, (y * proof.width + x) * 4 + 4)];
    };
    // Nothing of the wall is left, a fiftieth of the side within its corners.
    for (const place of [[0.02, 0.02], [0.98, 0.02], [0.98, 0.98], [0.02, 0.98], [0.5, 0.5]] as [number, number][]) {
        expect(at(...place)).toEqual([20, 60, 160, 255]);
    }
    expect((await artworkOf(page, path)).layers).toHaveLength(1);
});
