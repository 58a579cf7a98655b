import { chromium } from '@playwright/test';
const [,, url, out, ...acts] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const c = await b.newContext({ viewport: { width: 1280, height: 800 }, storageState: (await import('fs')).existsSync('/tmp/state.json') && !url.includes('enter') ? '/tmp/state.json' : undefined });
const p = await c.newPage();
p.on('response', r => r.status()>=400 && console.log(r.status(), r.request().method(), r.url()));
p.on('console', m => m.type() === 'error' && console.log('console:', m.text()));
await p.goto(url); await p.waitForTimeout(1500);
for (const a of acts) { await p.evaluate(0).catch(()=>{}); await eval(`(async()=>{${a}})()`); await p.waitForTimeout(700); }
await p.screenshot({ path: out });
await c.storageState({ path: '/tmp/state.json' });
await b.close();
