import { expect, type Browser, type Page } from '@playwright/test';
import { PEOPLE } from '@/server/demo/bakery';
import { LANGUAGE_COOKIES } from '@/words/languages';
import { wordsIn } from '@/words/compile';
import type { Language } from '@/words/message';
import type { Say } from '@/words/say';
import { address, openPage } from './people';

/** Every view of a bakery; the practice night is one that `planner` has begun. */
export const VIEWS = [
  ...['/plan', '/orders', '/orders/past', '/bench', '/proof', '/oven', '/handover', '/batches', '/trends'],
  ...['/practice', '/practice/new', '/formulas', '/formulas/1', '/formulas/ingredients'],
  ...['/products', '/products/1', '/products/new', '/lamination', '/cutting', '/fillings'],
  ...['/rooms', '/rooms/retarder', '/workbench', '/house', '/house/values', '/setup'],
  ...['/papers/production', '/dough/5', '/dough/5/sheet', '/dough/5/labels', '/batch/5'],
  ...['/batches/compare?dough=1&dough=5', '/products/recipe', '/practice/1', '/dough/5/card'],
];
/** What lies over a view, and how it is opened: by a key, or by a button of this name. */
export const SHEETS: readonly { view: string; key?: string; button?: (say: Say) => string }[] = [
  { view: '/plan', key: '?' },
  { view: '/plan', key: 'a' },
  { view: '/plan', key: 'f' },
  { view: '/plan', key: '/' },
  { view: '/plan', button: (say) => say('shell.isAtThisTabletChange', { name: 'Mara' }) },
  { view: '/orders', button: (say) => say('orders.addOrder2').trim() },
  { view: '/orders', button: (say) => say('orders.standingOrders') },
  { view: '/orders', button: (say) => say('orders.readAFile') },
  { view: '/bench', button: (say) => say('bench.earlier') },
  { view: '/bench', button: (say) => say('bench.note') },
  { view: '/bench', button: (say) => say('floor.trouble') },
  { view: '/house', button: (say) => say('house.addAPerson') },
  { view: '/house', button: (say) => say('house.addAMachine') },
];

/** Signs a planner in whose tablet reads this language. */
export async function planner(browser: Browser, language: Language): Promise<Page> {
  const context = await browser.newContext({ baseURL: address() });
  await context.addCookies([{ name: LANGUAGE_COOKIES.tablet, value: language, url: address() }]);
  const page = await openPage(context);
  await page.goto('/sign-in');
  await page.getByRole('button', { name: /^Mara/ }).click();
  await page.locator('input[type=password]').fill(PEOPLE.find(({ name }) => name === 'Mara')?.pin ?? '');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/plan$/);
  // A night to practise, so that there is one to look at.
  await page.goto('/practice');
  await page.waitForLoadState('networkidle');
  await page.locator('main li button').first().click();
  await page.waitForURL(/\/practice\/\d+$/);
  // What marks functions for a debugger is not there in the page.
  await context.addInitScript('globalThis.__name = (named) => named');
  return page;
}

/** Opens a sheet over its view. */
export async function openSheet(
  page: Page,
  language: Language,
  sheet: (typeof SHEETS)[number],
): Promise<string> {
  await page.goto(sheet.view);
  await page.waitForLoadState('networkidle');
  const name = sheet.button?.(wordsIn(language));
  if (name !== undefined) await page.getByRole('button', { name, exact: true }).first().click();
  else if (sheet.key !== undefined) await page.keyboard.press(sheet.key);
  await expect(page.getByRole('dialog')).toBeVisible();
  return `${sheet.view} ${name ?? sheet.key ?? ''}`;
}
