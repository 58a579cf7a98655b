// Scrolls the finder of fonts from end to end and tells how evenly its frames came: node bin/bench-finder.mjs ADDRESS-OF-A-BUILD-SHEET
import { chromium } from '@playwright/test';

const SECONDS = 5;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'] });
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await page.goto(process.argv[2]);
await page.waitForLoadState('networkidle');

const shown = (since) => page.waitForFunction(() => {
    const pictures = [...document.querySelectorAll('.finder-row img')];
    const rows = document.querySelector('.finder-rows')?.getBoundingClientRect();
    const seen = pictures.filter((one) => rows && one.getBoundingClientRect().top < rows.bottom);
    return seen.length > 3 && seen.every((one) => one.complete && one.naturalWidth > 0);
}).then(() => Date.now() - since);

let since = Date.now();
await page.getByRole('button', { name: /^font:/ }).first().click();
const opened = await shown(since);
const count = await page.locator('.finder-dialog [role=status]').textContent();
since = Date.now();
await page.getByLabel('Words to try').fill('Moth night');
await page.waitForFunction(() => document.querySelector('.finder-row img')?.src.includes('Moth'));
const retyped = await shown(since);

const frames = await page.evaluate((seconds) => new Promise((done) => {
    const rows = document.querySelector('.finder-rows');
    const took = [];
    const begun = performance.now();
    let last = begun;
    const step = (now) => {
        took.push(now - last);
        last = now;
        const share = (now - begun) / (seconds * 1000);
        rows.scrollTop = share * (rows.scrollHeight - rows.clientHeight);
        share < 1 ? requestAnimationFrame(step) : done(took.slice(2));
    };
    requestAnimationFrame(step);
}), SECONDS);
since = Date.now();
const settled = await shown(since);
frames.sort((a, b) => a - b);
const at = (share) => Math.round(frames[Math.min(frames.length - 1, Math.floor(share * frames.length))]);
console.log(`finder, ${count.trim()} fonts: words in sight ${opened} ms after opening, ${retyped} ms after typing others; scrolled through in ${SECONDS} s, a frame every ${at(0.5)} ms (95 %: ${at(0.95)} ms, longest ${at(1)} ms), words in sight ${settled} ms after it stops; ${await page.locator('.finder-row').count()} rows drawn`);
await browser.close();
