import { expect, test, type Browser, type Page } from '@playwright/test';
import { PEOPLE } from '@/server/demo/bakery';
import { LANGUAGE_COOKIES } from '@/words/languages';
import { LANGUAGES, type Language } from '@/words/message';
import { unreadTexts, type Unread } from '../../test-support/readable';
import { address } from '../support/people';

const VIEWS = [
  ...['/plan', '/orders', '/orders/past', '/bench', '/proof', '/oven', '/handover', '/batches', '/trends'],
  ...[
    '/practice',
    '/formulas',
    '/formulas/ingredients',
    '/products',
    '/products/new',
    '/lamination',
    '/cutting',
  ],
  ...['/fillings', '/rooms', '/rooms/retarder', '/workbench', '/house', '/house/values', '/setup'],
  ...['/papers/production', '/dough/5', '/dough/5/sheet', '/dough/5/labels'],
];
const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 360, height: 740 },
];

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

for (const language of LANGUAGES)
  test(`no text is cut, beside the page or under another, in ${language}`, async ({ browser }) => {
    test.setTimeout(900_000);
    const page = await planner(browser, language);
    await expect(page.locator('html')).toHaveAttribute('lang', language);
    const unread: string[] = [];
    for (const view of VIEWS) {
      await page.goto(view);
      await page.waitForLoadState('networkidle');
      for (const size of SIZES) {
        await page.setViewportSize(size);
        const found = await settled(page);
        unread.push(...found.map(({ how, text, by }) => `${view} ${size.width}: “${text}” ${how} (${by})`));
      }
    }
    await page.context().close();
    expect([...new Set(unread)]).toEqual([]);
  });
