// What a hand waits for in the browser: node bin/bench-hand.mjs LINK-THAT-OPENS-THE-SHOP ADDRESS-OF-A-BUILD-SHEET RUNS
import { chromium } from '@playwright/test';

const [, , link, sheet] = process.argv;
const runs = Number(process.argv[4]);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'] });
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })).newPage();
await page.goto(link);
const enter = page.getByRole('button', { name: /enter/i });
await enter.or(page.getByRole('heading', { name: 'Jobs' })).first().waitFor();
if (await enter.count()) {
    await enter.click({ delay: 70 });
}
await page.getByRole('heading', { name: 'Jobs' }).waitFor();

const drawn = () => page.evaluate(() => [...document.querySelectorAll('.peg-view image')].map((one) => /revisions\/(\d+)\/proof/.exec(one.getAttribute('href') ?? '')?.[1]).find(Boolean) ?? '');
const saved = () => page.waitForFunction(() => document.querySelector('.top-job [role=status]')?.textContent?.trim() === 'saved');
/** Milliseconds until the peg shows a picture of another revision. */
async function untilDrawn(press) {
    const before = await drawn();
    const since = performance.now();
    await press();
    await page.waitForFunction((old) => [...document.querySelectorAll('.peg-view image')].some((one) => { const at = /revisions\/(\d+)\/proof/.exec(one.getAttribute('href') ?? '')?.[1]; return at && at !== old; }), before);
    const took = performance.now() - since;
    await saved();
    // The gauges of the step before are let go; what a seller does next begins when the hand has rested.
    await page.waitForTimeout(600);
    return took;
}
function tell(what, all) {
    const sorted = [...all].sort((a, b) => a - b);
    const at = (share) => Math.round(sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]);
    console.log(`${what.padEnd(44)} ${String(at(0.5)).padStart(5)} ms  (95 %: ${at(0.95)} ms, of ${all.length})`);
}

const jobs = [];
for (let i = 0; i < runs; i++) {
    const since = performance.now();
    await page.goto(new URL('/', sheet).href, { waitUntil: 'commit' });
    await page.locator('.job-card').first().waitFor();
    jobs.push(performance.now() - since);
}
tell('Jobs with 200 of them, cards in sight', jobs);

const crossed = [];
for (let i = 0; i < runs; i++) {
    await page.getByRole('link', { name: 'Houses' }).click({ delay: 70 });
    await page.getByRole('heading', { name: 'Houses' }).waitFor();
    await page.waitForTimeout(1000);
    const since = performance.now();
    await page.getByRole('link', { name: 'Jobs', exact: true }).click();
    await page.locator('.job-card').first().waitFor();
    crossed.push(performance.now() - since);
}
tell('Jobs from another page, cards in sight', crossed);

const opened = [];
for (let i = 0; i < runs; i++) {
    await page.goto(new URL('/houses', sheet).href);
    const since = performance.now();
    await page.goto(sheet);
    await page.waitForFunction(() => [...document.querySelectorAll('.peg-view image')].some((one) => (one.getAttribute('href') ?? '').includes('/proof')), undefined, { timeout: 60_000 });
    opened.push(performance.now() - since);
}
tell('a job is opened, its art on the peg', opened);
await page.waitForTimeout(4000);

const words = page.getByRole('textbox', { name: 'words', exact: true }).first();
if (await page.getByRole('button', { name: 'unfold all' }).count()) {
    await page.getByRole('button', { name: 'unfold all' }).click({ delay: 70 });
}
const colour = page.getByRole('textbox', { name: 'fill colour' }).first();
const coloured = [], nudged = [], typed = [], undone = [];
for (let i = 0; i < runs + 1; i++) {
    await colour.fill(`#${(0x2f6f73 + i * 7).toString(16)}`);
    coloured.push(await untilDrawn(() => colour.press('Enter')));
    await words.click({ delay: 70 });
    await page.locator('.peg-view').focus();
    nudged.push(await untilDrawn(() => page.keyboard.press('ArrowRight')));
    await words.fill(`${await words.inputValue()}s`);
    typed.push(await untilDrawn(() => words.press('Enter')));
    await page.locator('.peg-view').focus();
    undone.push(await untilDrawn(() => page.keyboard.press('Control+z')));
}
// The first of each draws what is kept afterwards.
tell('a colour is changed', coloured.slice(1));
tell('a piece is nudged', nudged.slice(1));
tell('a letter is typed', typed.slice(1));
tell('a step is taken back', undone.slice(1));
await browser.close();
