import { chromium } from '@playwright/test';
import { unreadTexts } from '../test-support/readable';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const PAGES = (process.env.PAGES ?? '/plan,/orders,/orders/past,/bench,/proof,/oven,/handover,/batches,/trends,/practice,/formulas,/formulas/ingredients,/products,/products/new,/lamination,/cutting,/fillings,/rooms,/rooms/retarder,/workbench,/house,/house/values,/setup,/papers/production,/dough/41,/dough/41/sheet,/dough/41/labels').split(',');
const langs = (process.env.LANGS ?? 'de,fr').split(',');
const sizes = (process.env.SIZES ?? '1280x800').split(',').map((s)=>s.split('x').map(Number) as [number,number]);
for (const lang of langs) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: 'http://127.0.0.1:3111' });
  await context.addCookies([{ name: 'hefeteig-language', value: lang, url: 'http://127.0.0.1:3111' }]);
  const page = await context.newPage();
  page.on('pageerror', (e) => console.log('pageerror:', page.url(), e.message.slice(0, 300)));
  page.on('console', (m) => { if (m.type() === 'error') console.log('console:', page.url(), m.text().slice(0, 300)); });
  await page.goto('/sign-in'); await page.waitForTimeout(500);
  await page.getByRole('button', { name: /^Mara/ }).click();
  await page.locator('input[type=password]').fill('471147'); await page.keyboard.press('Enter');
  await page.waitForURL(/\/(plan|bench)$/);
  for (const [w,h] of sizes) { await page.setViewportSize({ width: w, height: h });
  for (const path of PAGES) {
    await page.goto(path); await page.waitForLoadState('networkidle').catch(()=>undefined); await page.waitForTimeout(300);
    await page.evaluate('globalThis.__name = (f) => f'); const out = await page.evaluate(unreadTexts);
    const seen = new Set<string>(); const rows = out.filter((o)=>{const k=o.how+o.text+o.by; if(seen.has(k)) return false; seen.add(k); return true;});
    if (rows.length) { console.log(`## ${lang} ${w} ${path}: ${rows.length}`); for (const r of rows.slice(0, 12)) console.log('  ', r.how, '|', r.text, '|', r.by); }
    if (process.env.SHOT) await page.screenshot({ path: `/tmp/s-${lang}-${w}${path.replace(/\//g,'-')}.png` });
  } }
  await context.close();
}
await browser.close();
