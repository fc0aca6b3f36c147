import { chromium } from '@playwright/test';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const env = process.env;
const [w,h] = (env.SIZE ?? '1280x800').split('x').map(Number) as [number, number];
const base = env.BASE ?? 'http://127.0.0.1:3111';
const context = await browser.newContext({ viewport: { width: w, height: h }, baseURL: base });
await context.addCookies([{ name: 'hefeteig-language', value: env.LANG2 ?? 'en', url: base }]);
const page = await context.newPage();
page.on('pageerror', (e) => console.log('pageerror:', page.url(), e.message.slice(0, 300)));
page.on('console', (m) => { if (m.type() === 'error') console.log('console:', page.url(), m.text().slice(0, 300)); });
await page.goto('/sign-in'); await page.waitForTimeout(800);
const who = env.WHO ?? 'Mara'; const pins: Record<string,string> = { Mara: '471147', Jonas: '1203', Ida: '2806', Selma: '3317', Anton: '5090', Piet: '6482' };
await page.getByRole('button', { name: new RegExp('^'+who) }).click();
await page.locator('input[type=password]').fill(pins[who]!); await page.keyboard.press('Enter');
await page.waitForURL(/\/(plan|bench)$/);
if (env.NIGHT) await page.evaluate(() => { document.cookie = 'hefeteig-theme=night; path=/'; });
const shots = (env.SHOTS ?? '').split(',').filter(Boolean);
for (const s of shots) { const [path, name] = s.split('@') as [string, string]; await page.goto(path); await page.waitForLoadState('networkidle').catch(()=>undefined); await page.waitForTimeout(600);
  if (env.DO) { await eval(`(async()=>{${env.DO}})()`); await page.waitForTimeout(500); }
  await page.screenshot({ path: `/tmp/${name}.png`, fullPage: !!env.FULL }); }
await browser.close();
