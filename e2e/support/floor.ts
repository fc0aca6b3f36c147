import { expect, type Locator, type Page } from '@playwright/test';
import { PEOPLE } from '@/server/demo/bakery';

/** A tablet of the floor. */
export const TABLET = { width: 1024, height: 768 };

/** Sets the demo's clock to a time of the Thursday on which it opens. */
export async function setClock(page: Page, time: string): Promise<void> {
  await page.getByRole('button', { name: /^Demo clock/ }).click();
  await page.getByRole('combobox', { name: 'Set to' }).selectOption({ label: 'Thu 19.11.' });
  await page.getByRole('textbox', { name: 'at' }).fill(time);
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: `Demo clock, Thu ${time}` })).toBeVisible();
}

export const alarms = (page: Page): Locator => page.getByRole('region', { name: 'Alarms' });

/** Starts and finishes a step on the bench, wherever it stands there. */
export async function carryOut(page: Page, name: RegExp): Promise<void> {
  const row = page.getByRole('region', { name: 'Next' }).getByRole('button', { name });
  const card = page.getByRole('region', { name: 'Now' });
  await row.or(card.getByRole('heading', { name })).first().click();
  await expect(card.getByRole('heading', { name })).toBeVisible();
  await card.getByRole('button', { name: /^Start (?!all )/ }).click();
  const done = page.waitForResponse((answer) => (answer.request().postData() ?? '').includes('"finish"'));
  await card.getByRole('button', { name: 'Done', exact: true }).click();
  expect((await done).status()).toBe(200);
  await expect(card.getByRole('heading', { name })).toBeHidden();
}

/** Gives somebody's PIN in the pad that is open. */
export async function givePin(page: Page, name: string): Promise<void> {
  const pin = PEOPLE.find((one) => one.name === name)?.pin ?? '';
  await page.getByRole('textbox', { name: `PIN of ${name}` }).fill(pin);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: new RegExp(`^${name} is signed in here`) })).toBeVisible();
}

/** Lets somebody take the tablet over with their PIN. */
export async function takeOver(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: / is signed in here/ }).click();
  await page
    .getByRole('dialog', { name: 'Who takes over?' })
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .click();
  await givePin(page, name);
}

/** Pages of the floor, as the service worker keeps them. */
const FLOOR_PAGES = ['/bench', '/proof', '/oven', '/handover', '/batches', '/wall'];

/** Waits until the tablet has every page of the floor for whoever is there, whether or not it was opened. */
export async function pagesKept(page: Page): Promise<void> {
  await expect
    .poll(
      () =>
        page.evaluate(async (pages) => {
          const person = document.querySelector('[data-person]')?.getAttribute('data-person');
          const kept = await caches.open('hefeteig-pages-2').then((cache) => cache.keys());
          const known = new Set(kept.map(({ url }) => url.slice(new URL(url).origin.length)));
          return pages.filter((path) => !known.has(`${path}?person=${person}`));
        }, FLOOR_PAGES),
      { timeout: 90_000 },
    )
    .toEqual([]);
}

/** Waits until the tablet has every part of the application, as it has some seconds after it was first opened. */
export async function keptForOffline(page: Page): Promise<void> {
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          const parts = (await (await fetch('/api/parts')).json()) as string[];
          const kept = await caches.open('hefeteig-parts-1').then((cache) => cache.keys());
          const known = new Set(kept.map(({ url }) => new URL(url).pathname));
          return parts.filter((path) => !known.has(path)).length;
        }),
      { timeout: 60_000 },
    )
    .toBe(0);
}
