import { chromium } from '@playwright/test';
import { readFileSync, readdirSync } from 'node:fs';
const vocab = (dir: string) => { const w = new Set<string>(); for (const f of readdirSync(dir)) for (const m of readFileSync(`${dir}/${f}`,'utf8').matchAll(/[\p{L}]{2,}/gu)) w.add(m[0].toLowerCase()); return w; };
const L = process.env.L ?? 'de';
const en = vocab('src/words/en'); const de = vocab(`src/words/${L}`);
import('../src/words/usual/usual').then(({USUAL_NAMES})=>{ for (const v of Object.values((USUAL_NAMES as any)[L]) as string[]) for (const m of v.matchAll(/[\p{L}]{2,}/gu)) de.add(m[0].toLowerCase()); });
const enUsual = new Set<string>(); for (const m of readFileSync(`src/words/usual/${L}.ts`,'utf8').matchAll(/[\p{L}]{2,}/gu)) enUsual.add(m[0].toLowerCase());
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const base='http://127.0.0.1:3111';
const c = await b.newContext({ baseURL: base }); await c.addCookies([{name:'hefeteig-language',value:L,url:base}]);
const p = await c.newPage(); await p.goto('/sign-in'); await p.waitForTimeout(800); await p.getByRole('button',{name:/^Mara/}).click(); await p.locator('input[type=password]').fill('471147'); await p.keyboard.press('Enter'); await p.waitForURL(/plan$/);
const seen = new Set<string>();
for (const v of ['/plan','/orders','/orders/past','/bench','/proof','/oven','/handover','/batches','/trends','/practice','/practice/new','/formulas','/formulas/1','/formulas/ingredients','/products','/products/1','/products/new','/lamination','/cutting','/fillings','/rooms','/rooms/retarder','/workbench','/house','/house/values','/setup','/papers/production','/dough/5','/dough/5/sheet','/dough/5/labels','/batch/5','/batches/compare','/wall','/products/recipe','/batch/1','/batch/3','/dough/3','/dough/8']) {
  await p.goto(v); await p.waitForLoadState('networkidle').catch(()=>0); await p.waitForTimeout(400);
  const texts: string[] = await p.evaluate(() => { const out: string[]=[]; const w=document.createTreeWalker(document.body,NodeFilter.SHOW_TEXT); while(w.nextNode()){const n=w.currentNode as Text; const e=n.parentElement; if(!e||['SCRIPT','STYLE'].includes(e.tagName))continue; out.push(n.data);} document.querySelectorAll('[aria-label],[title],[placeholder]').forEach((e)=>{for(const a of ['aria-label','title','placeholder']){const x=e.getAttribute(a); if(x)out.push('@'+x);}}); return out; });
  for (const t of texts) { const bad=[...t.matchAll(/[\p{L}]{2,}/gu)].map((m)=>m[0].toLowerCase()).filter((w)=>en.has(w)&&!de.has(w)); if(bad.length&&!seen.has(t)){seen.add(t); console.log(v,'|',t.trim().slice(0,120),'|',bad.join(' '));} }
}
await b.close();
