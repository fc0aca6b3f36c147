import { chromium } from '@playwright/test';
import { pathToFileURL } from 'node:url';
const [,, port, file, who = 'Mara', w = '1280', h = '800'] = process.argv;
const PIN = { Mara: '4711', Jonas: '1203', Selma: '3317' };
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const ctx = await b.newContext({ viewport: { width: +w, height: +h }, baseURL: `http://127.0.0.1:${port}` });
const page = await ctx.newPage();
page.on('console', (m) => m.type() === 'error' && console.log('console:', m.text().slice(0, 300)));
page.on('pageerror', (e) => console.log('pageerror:', e.message.slice(0, 300)));
await page.goto('/sign-in');
await page.getByRole('button', { name: new RegExp(`^${who}`) }).click();
await page.getByLabel(`PIN of ${who}`, { exact: true }).and(page.locator('input')).fill(PIN[who]);
await page.keyboard.press('Enter');
await page.waitForURL(/\/(plan|bench)$/);
try { await (await import(pathToFileURL(file).href)).default(page); } catch (e) { console.log(e.message); await page.screenshot({ path: '/tmp/fail.png' }); }
await b.close();
