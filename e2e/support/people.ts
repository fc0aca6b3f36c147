import AxeBuilder from '@axe-core/playwright';
import { expect, type Browser, type BrowserContext, type Locator, type Page } from '@playwright/test';
import { PEOPLE } from '@/server/demo/bakery';

export const address = () => process.env.HEFETEIG_ADDRESS ?? '';

const atWork: BrowserContext[] = [];

/** Closes what was opened by signing in: pages left open would follow every change of the tests after them. */
export async function everybodyLeaves(): Promise<void> {
  await Promise.all(atWork.splice(0).map((context) => context.close()));
}

/** How long the last part of a page may come after the rest, and how long it may take until it answers to taps, ms. */
const WHOLE = 20_000;

/**
 * Marks a document once it is whole and can be used. Parts of it arrive hidden and are moved to their place; where something
 * changes meanwhile, such a part is drawn once more in its place, and for a moment the document has it twice, though nobody
 * sees it. And a button is drawn before it does anything: on a busy machine a test taps it first.
 */
function markWhole(): void {
  // A page that turns out not to exist while it arrives may keep such a part for ever, ms.
  const FOR_EVER = 3_000;
  let sent = 0;
  const isArriving = () =>
    document.querySelector('div[hidden][id^="S:"]') !== null && performance.now() - sent < FOR_EVER;
  const isAwake = () =>
    [...document.querySelectorAll('button')].every((one) =>
      Object.keys(one).some((key) => key.startsWith('__reactProps')),
    );
  const look = setInterval(() => {
    if (document.readyState !== 'complete') return;
    sent ||= performance.now();
    if (isArriving() || !isAwake()) return;
    clearInterval(look);
    document.documentElement.setAttribute('data-whole', '');
  }, 20);
}

/** Waits until a page is whole, for what a test looks at without Playwright’s own waiting. */
export const becomesWhole = (page: Page): Promise<void> =>
  page.locator('html[data-whole]').waitFor({ state: 'attached', timeout: WHOLE });

/**
 * Opens a page that is whole before anything in it is tapped or looked at, however it was come to: by an address, a link, or
 * what a screen does by itself.
 */
export async function openPage(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  await page.addInitScript(markWhole);
  await page.addLocatorHandler(page.locator('html:not([data-whole])'), () => becomesWhole(page));
  const whole = async <T>(answer: T): Promise<T> => {
    await becomesWhole(page);
    return answer;
  };
  const open = page.goto.bind(page);
  const again = page.reload.bind(page);
  page.goto = async (...asked) => whole(await open(...asked));
  page.reload = async (...asked) => whole(await again(...asked));
  return page;
}

/** Signs somebody in through the screen, in a browser of their own. */
export async function signIn(
  browser: Browser,
  name: string,
  viewport = { width: 1280, height: 800 },
): Promise<Page> {
  const context = await browser.newContext({ viewport, baseURL: address() });
  atWork.push(context);
  const page = await openPage(context);
  await page.goto('/sign-in');
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  await page
    .getByLabel(`PIN of ${name}`, { exact: true })
    .and(page.locator('input'))
    .fill(PEOPLE.find((p) => p.name === name)?.pin ?? '');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/(plan|bench)$/);
  await becomesWhole(page);
  return page;
}

/** What axe finds on a page, at WCAG 2.2 AA, and where. */
export async function violations(page: Page): Promise<string[]> {
  const { violations: found } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  return found.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .map(({ target }) => target.join(' '))
        .slice(0, 3)
        .join(', ')}`,
  );
}

/** Nothing for axe to find. */
export async function expectAccessible(page: Page): Promise<void> {
  expect(await violations(page)).toEqual([]);
}

/** Nothing sticks out to the side of a narrow screen. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  // What is measured is drawn anew a moment after the screen has changed its size.
  await expect
    .poll(() =>
      page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
    )
    .toBeLessThanOrEqual(0);
}

/** The sentence that tells what is wrong (and not the framework's own announcer). */
export function alertOf(part: Page | Locator): Locator {
  return part.locator('p[role=alert]');
}
