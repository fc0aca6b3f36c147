import { expect, test, type Page } from '@playwright/test';
import { LANGUAGES } from '@/words/message';
import { smallTargets, unreadTexts, type Unread } from '../../test-support/readable';
import { address, violations } from '../support/people';
import { openSheet, planner, SHEETS, VIEWS } from '../support/views';

/** What is tapped with a knuckle, on a tablet. */
const FLOOR = { views: ['/bench', '/proof', '/oven', '/handover'], size: { width: 1024, height: 768 } };
const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 360, height: 740 },
] as const;

/** A screen on a wall, and how many of its pages are looked at: they come by themselves, one after the other. */
const WALL = { size: { width: 1920, height: 1080 }, pages: 2 };

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

test('no text is cut on the wall, on any of its pages in any language', async ({ browser }) => {
  const unread: string[] = [];
  for (const language of LANGUAGES) {
    const page = await planner(browser, language);
    await page.setViewportSize(WALL.size);
    await page.goto('/wall');
    const shown = () => page.locator('main').innerText();
    for (let nth = 0; nth < WALL.pages; nth++) {
      const found = await settled(page);
      unread.push(...found.map(({ how, text, by }) => `${language}: “${text}” ${how} (${by})`));
      const before = await shown();
      if (nth + 1 < WALL.pages) await expect.poll(shown).not.toBe(before);
    }
    await page.context().close();
  }
  expect([...new Set(unread)]).toEqual([]);
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
