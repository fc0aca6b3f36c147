import { expect, test, type Page } from '@playwright/test';
import { TABLET } from '../support/floor';
import { everybodyLeaves, signIn } from '../support/people';

// The first of the night: later the pieces have risen so far that the cold changes little.
test.afterEach(everybodyLeaves);

const minuteOf = (text: string | null): number => {
  const [hour = NaN, minute = NaN] = (/(\d\d):(\d\d)/.exec(text ?? '') ?? []).slice(1).map(Number);
  return hour * 60 + minute;
};

/** When the chocolate rolls go in, by the oven's own page, minutes after midnight. */
async function goesIn(page: Page): Promise<number> {
  const load = page
    .getByRole('region', { name: 'Next in' })
    .getByRole('listitem')
    .filter({ hasText: 'chocolate roll' });
  await expect(load).toBeVisible();
  return minuteOf(await load.textContent());
}

test('a proof that is put into the cold is ready later on every screen, and whoever starts what follows is asked', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Ida', TABLET);
  await page.goto('/oven');
  const before = await goesIn(page);
  await page.goto('/proof');
  await page.getByRole('button', { name: /Crescent 38.*proof chocolate roll/ }).click();
  const card = page.getByRole('dialog');
  const stands = card.getByRole('combobox', { name: 'place' });
  const cold = await stands.locator('option', { hasText: /^Retarder/ }).textContent();
  await stands.selectOption({ label: cold ?? '' });
  await expect(card.getByText(/in retarder/)).toBeVisible();
  const ready = minuteOf(await card.getByText(/^ready /).textContent());
  await page.keyboard.press('Escape');

  await page.goto('/oven');
  await expect.poll(() => goesIn(page)).toBeGreaterThan(before + 10);
  await expect(page.getByText(/proof chocolate roll moved at/).first()).toBeVisible();

  await page.goto('/bench');
  const next = page.getByRole('region', { name: 'Next' });
  const wash = next.getByRole('button', { name: /Wash chocolate roll/ }).first();
  await expect(wash).toContainText('proof chocolate roll moved at');
  expect(minuteOf(await wash.textContent())).toBeGreaterThanOrEqual(ready);
  await wash.click();
  const now = page.getByRole('region', { name: 'Now' });
  await now.getByRole('button', { name: /^Start wash/ }).click();
  await expect(now.getByRole('alert')).toContainText('not ready until');
  await now.getByRole('button', { name: 'Not yet' }).click();

  // Back where it was it is ready as before.
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(now).not.toContainText('moved at');
  await page.goto('/oven');
  await expect.poll(() => goesIn(page)).toBe(before);
});
