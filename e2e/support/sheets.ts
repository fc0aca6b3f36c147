import { expect, type Locator, type Page } from '@playwright/test';

/**
 * Opens a sheet by its button or its key. A page hears neither until it has come to life, and the
 * first sheet of a page is fetched before it shows: both are waited for, and nothing is pressed
 * again behind a sheet that has opened meanwhile.
 */
export async function openSheet(page: Page, by: Locator | string): Promise<void> {
  const sheet = page.getByRole('dialog');
  await expect(async () => {
    if (await sheet.isHidden())
      await (typeof by === 'string' ? page.keyboard.press(by) : by.click({ timeout: 2000 }));
    await expect(sheet).toBeVisible({ timeout: 5000 });
  }).toPass();
}
