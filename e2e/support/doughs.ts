import type { Page } from '@playwright/test';

/** A crescent dough that waits for its butter: its number and name. */
export async function nextCrescent(page: Page): Promise<[id: number, name: string]> {
  await page.goto('/bench');
  for (let id = 1; id < 20; id++) {
    await page.goto(`/dough/${id}`);
    const title = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
    if (!title.startsWith('Crescent')) continue;
    if (await page.getByText('no turn yet, 3 to do').isVisible()) return [id, title];
  }
  throw new Error('No crescent dough waits for its butter.');
}

/** Opens the page of a dough by its name. */
export async function openDough(page: Page, name: string): Promise<void> {
  for (let id = 1; id < 100; id++) {
    await page.goto(`/dough/${id}`);
    if ((await page.getByRole('heading', { level: 1 }).textContent()) === name) return;
  }
  throw new Error(`There is no ${name}.`);
}
