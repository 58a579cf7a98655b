import { readFileSync } from 'node:fs';
import { PNG } from 'pngjs';
import { addLine, expect, layer, newJob, saved, setToken, showAllGauges, test, words } from './bench';

interface Chunk {
    type: string;
    data: Buffer;
}

/** Reads the chunks of a PNG file (PNG Specification, Third Edition, §5.3). */
function chunks(file: Buffer): Chunk[] {
    const found: Chunk[] = [];
    for (let at = 8; at < file.length; ) {
        const length = file.readUInt32BE(at);
        found.push({ type: file.toString('latin1', at + 4, at + 8), data: file.subarray(at + 8, at + 8 + length) });
        at += length + 12;
    }
    return found;
}

test('from an empty job to a print-ready PNG', async ({ page }) => {
    await newJob(page, 'Bell ringers’ supper');
    await expect(page.getByText('The sheet is blank')).toBeVisible();

    // A word, set and sized, arched and ringed.
    await addLine(page, 'words', 'Set words');
    await setToken(words(page), 'BELLS');
    await layer(page, 'BELLS').getByRole('button', { name: /^font:/ }).click();
    await page.getByRole('searchbox', { name: 'Filter by name' }).fill('alfa slab');
    await page.locator('.finder-rows').getByRole('button', { name: / in Alfa Slab One/ }).click();
    await saved(page);
    await setToken(page.getByRole('textbox', { name: 'width', exact: true }), '200 mm');
    await expect(page.getByRole('textbox', { name: 'width', exact: true })).toHaveValue('7.87 in');
    await expect(page.locator('.readout').first()).toContainText('7.87 ×');
    await addLine(page, 'arch', 'Arch');
    await expect(page.getByRole('textbox', { name: 'bend' })).toHaveValue('35 %');
    await addLine(page, 'ring', /^Outline/);
    await setToken(page.getByRole('textbox', { name: 'outline width' }), '0.12in');

    // A picture beneath it, and the word cut out of the picture.
    await addLine(page, 'picture', 'Lay a picture');
    await page.getByRole('button', { name: /^picture:/ }).click();
    await page.getByRole('searchbox', { name: 'Filter by name' }).fill('ringing');
    await page.locator('.finder-rows').getByRole('button', { name: /^Ringing bell(?!.*favourite)/ }).click();
    await saved(page);
    await addLine(page, 'fill', 'Fill with a colour');
    const bell = layer(page, 'ringing-bell');
    await setToken(bell.getByRole('textbox', { name: 'fill colour' }), '#c8452c');
    await bell.getByRole('textbox', { name: 'width', exact: true }).press('Alt+ArrowUp');
    await saved(page);
    await layer(page, 'BELLS').getByRole('textbox', { name: 'width', exact: true }).focus();
    await addLine(page, 'gap', 'Cut a gap around it');
    await expect(page.locator('[data-layer]')).toHaveCount(2);
    await expect(page.getByRole('textbox', { name: 'gap', exact: true })).toHaveValue('0.08 in');

    // Worn ink over the whole sheet, seen on the garment, and measured.
    await addLine(page, 'wear', /whole sheet with fine speckle/);
    await setToken(page.getByRole('textbox', { name: 'amount of wear' }), '12%');
    await expect(page.locator('svg.peg-view image').first()).toHaveAttribute('href', /proof\.png/);
    await expect(page.getByRole('region', { name: 'Gauges' })).toContainText(/\d+ hold/);
    await showAllGauges(page);
    const wear = page.locator('.gauge-row').filter({ hasText: /^.*Wear/ }).first();
    await expect(wear).toContainText(/1[12]\.\d % worn/);

    // Sent to file, with its figures, and read back.
    await page.getByRole('link', { name: 'Send' }).click();
    await page.getByRole('button', { name: 'Export the print file' }).click();
    await expect(page.getByRole('progressbar')).toBeVisible();
    await expect(page.getByRole('link', { name: 'Download' })).toBeVisible();
    await expect(page.locator('.figures')).toContainText('3600 × 3600');
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Download' }).click()]);
    expect(download.suggestedFilename()).toBe('bell-ringers-supper.png');
    const file = readFileSync(await download.path());

    const parts = chunks(file);
    const header = parts[0]?.data ?? Buffer.alloc(0);
    expect(parts[0]?.type).toBe('IHDR');
    expect([header.readUInt32BE(0), header.readUInt32BE(4), ...header.subarray(8)]).toEqual([3600, 3600, 8, 6, 0, 0, 0]);
    const density = parts.find((part) => part.type === 'pHYs')?.data;
    expect([density?.readUInt32BE(0), density?.readUInt32BE(4), density?.[8]]).toEqual([11811, 11811, 1]);
    expect(parts.map((part) => part.type)).toContain('sRGB');
    expect(parts.find((part) => part.type === 'iTXt')?.data.toString('utf8')).toContain('Bell ringers’ supper');

    const { data, width, height } = PNG.sync.read(file);
    const corner = data.subarray(0, 4);
    expect([...corner]).toEqual([0, 0, 0, 0]);
    let red = 0;
    let ghosts = 0;
    for (let i = 0; i < width * height * 4; i += 4) {
        red += data[i] === 0xc8 && data[i + 1] === 0x45 && data[i + 2] === 0x2c && data[i + 3] === 255 ? 1 : 0;
        ghosts += data[i + 3] === 0 && (data[i] || data[i + 1] || data[i + 2]) ? 1 : 0;
    }
    expect(red).toBeGreaterThan(100_000);
    expect(ghosts).toBe(0);
});

test('an export can be cancelled, and one whose worker dies is finished', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('link', { name: 'Moth night, hoodie back' }).click();
    await page.getByRole('link', { name: 'Send' }).click();
    await page.getByRole('button', { name: 'Export the print file' }).click();
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(page.locator('.export').first()).toContainText('cancelled');
    await expect(page.getByRole('link', { name: 'Download' })).toHaveCount(0);

    await page.getByRole('button', { name: 'Export the print file' }).click();
    await expect(page.locator('.export').first()).toContainText(/drawing the lines|writing the file/);
    const { execSync } = await import('node:child_process');
    // Only the worker of this test's own server.
    execSync("for p in $(pgrep -f 'artisan crow:work'); do grep -qz e2e/.server /proc/$p/environ && kill -KILL $p; done; true", { shell: '/bin/bash' });
    await expect(page.getByRole('link', { name: 'Download' })).toBeVisible();
    await expect(page.locator('.export').first()).toContainText('4500 × 6000');
});
