import { expect, test, type Browser, type Page } from '@playwright/test';
import { PEOPLE } from '@/server/demo/bakery';
import { LANGUAGE_COOKIES } from '@/words/languages';
import { wordsIn } from '@/words/compile';
import { LANGUAGES, type Language } from '@/words/message';
import type { Say } from '@/words/say';
import { foreignWords, textsOfPage } from '../../test-support/foreign';
import { smallTargets, unreadTexts, type Unread } from '../../test-support/readable';
import { address, violations } from '../support/people';

const VIEWS = [
  ...['/plan', '/orders', '/orders/past', '/bench', '/proof', '/oven', '/handover', '/batches', '/trends'],
  ...['/practice', '/practice/new', '/formulas', '/formulas/1', '/formulas/ingredients'],
  ...['/products', '/products/1', '/products/new', '/lamination', '/cutting', '/fillings'],
  ...['/rooms', '/rooms/retarder', '/workbench', '/house', '/house/values', '/setup'],
  ...['/papers/production', '/dough/5', '/dough/5/sheet', '/dough/5/labels', '/batch/5'],
  ...['/batches/compare?dough=1&dough=5', '/wall', '/products/recipe', '/practice/1', '/dough/5/card'],
];
/** What is tapped with a knuckle, on a tablet. */
const FLOOR = { views: ['/bench', '/proof', '/oven', '/handover'], size: { width: 1024, height: 768 } };
/** What lies over a view, and how it is opened: by a key, or by a button of this name. */
const SHEETS: readonly { view: string; key?: string; button?: (say: Say) => string }[] = [
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
const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 360, height: 740 },
] as const;

/** Signs a planner in whose tablet reads this language. */
async function planner(browser: Browser, language: Language): Promise<Page> {
  const context = await browser.newContext({ baseURL: address() });
  await context.addCookies([{ name: LANGUAGE_COOKIES.tablet, value: language, url: address() }]);
  const page = await context.newPage();
  await page.goto('/sign-in');
  await page.getByRole('button', { name: /^Mara/ }).click();
  await page.locator('input[type=password]').fill(PEOPLE.find(({ name }) => name === 'Mara')?.pin ?? '');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/plan$/);
  // What marks functions for a debugger is not there in the page.
  await context.addInitScript('globalThis.__name = (named) => named');
  return page;
}

/** What cannot be read once the page is drawn in its new size: what two looks, a frame and more apart, both find. */
async function settled(page: Page): Promise<Unread[]> {
  const look = async () => {
    await page.evaluate(
      () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
    );
    return page.evaluate(unreadTexts);
  };
  let found = await look();
  await expect
    .poll(async () => {
      const before = JSON.stringify(found);
      found = await look();
      return JSON.stringify(found) === before;
    })
    .toBe(true);
  return found;
}

/** Opens a sheet over its view. */
async function openSheet(page: Page, language: Language, sheet: (typeof SHEETS)[number]): Promise<string> {
  await page.goto(sheet.view);
  await page.waitForLoadState('networkidle');
  const name = sheet.button?.(wordsIn(language));
  if (name !== undefined) await page.getByRole('button', { name, exact: true }).first().click();
  else if (sheet.key !== undefined) await page.keyboard.press(sheet.key);
  await expect(page.getByRole('dialog')).toBeVisible();
  return `${sheet.view} ${name ?? sheet.key ?? ''}`;
}

/**
 * What the demo's bakery calls its own, in its own language: kinds of dough, a customer, a team, what was written into the
 * handover; and languages, each called by its own name. `do` is a German Thursday.
 */
const OWN = [...['danish', 'shop', 'nights', 'english', 'do', 'both', 'fall', 'shut', 'itself']] as const;

/** What other tests do by day and in English is done by night in one other language, and by day in the other. */
const THEMES = [
  ['de', 'night'],
  ['fr', 'day'],
] as const;

for (const language of LANGUAGES) {
  test(`no text is cut, beside the page or under another, in ${language}`, async ({ browser }) => {
    test.setTimeout(900_000);
    const page = await planner(browser, language);
    await expect(page.locator('html')).toHaveAttribute('lang', language);
    const unread: string[] = [];
    const lookAt = async (name: string) => {
      for (const size of SIZES) {
        await page.setViewportSize(size);
        const found = await settled(page);
        unread.push(...found.map(({ how, text, by }) => `${name} ${size.width}: “${text}” ${how} (${by})`));
      }
      await page.setViewportSize(SIZES[0]);
    };
    for (const view of VIEWS) {
      await page.goto(view);
      await page.waitForLoadState('networkidle');
      await lookAt(view);
    }
    for (const sheet of SHEETS) await lookAt(await openSheet(page, language, sheet));
    await page.context().close();
    expect([...new Set(unread)]).toEqual([]);
  });
}

for (const [language, theme] of THEMES)
  test(`nothing keeps anybody from reading or using a view in ${language}, by ${theme}`, async ({
    browser,
  }) => {
    test.setTimeout(900_000);
    const page = await planner(browser, language);
    await page.context().addCookies([{ name: 'theme', value: theme, url: address() }]);
    const found: string[] = [];
    const check = async (name: string) =>
      found.push(...(await violations(page)).map((violation) => `${name}: ${violation}`));
    for (const view of VIEWS) {
      await page.goto(view);
      await page.waitForLoadState('networkidle');
      await check(view);
    }
    for (const sheet of SHEETS) await check(await openSheet(page, language, sheet));
    await page.context().close();
    expect(found).toEqual([]);
  });

for (const language of ['de', 'fr'] as const)
  test(`nothing is said in English where ${language} is read`, async ({ browser }) => {
    test.setTimeout(600_000);
    const page = await planner(browser, language);
    const found: string[] = [];
    const look = async (name: string) => {
      const foreign = foreignWords(await page.evaluate(textsOfPage), language, OWN);
      found.push(...foreign.map((text) => `${name}: ${text}`));
    };
    for (const view of VIEWS) {
      await page.goto(view);
      await page.waitForLoadState('networkidle');
      await look(view);
    }
    for (const sheet of SHEETS) await look(await openSheet(page, language, sheet));
    await page.context().close();
    expect(found).toEqual([]);
  });

test('whatever is tapped on the floor is as high as a knuckle needs', async ({ browser }) => {
  const page = await planner(browser, 'de');
  await page.setViewportSize(FLOOR.size);
  for (const view of FLOOR.views) {
    await page.goto(view);
    await page.waitForLoadState('networkidle');
    expect(await page.evaluate(smallTargets), view).toEqual([]);
  }
  await page.context().close();
});
