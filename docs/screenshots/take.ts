import { expect, test, type Page } from '@playwright/test';
import { address, signIn } from '../../e2e/support/people';
import { record } from '../../e2e/support/record';

async function keep(page: Page, name: string): Promise<void> {
  await expect(page.getByText('Laying out the work')).toBeHidden();
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.screenshot({ path: `docs/screenshots/${name}.png`, animations: 'disabled' });
}

test('one current picture of each main view', async ({ browser }) => {
  const stranger = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await stranger.goto(`${address()}/sign-in`);
  await stranger.getByRole('button', { name: /^Mara/ }).click();
  await keep(stranger, 'sign-in');

  const planner = await signIn(browser, 'Mara');
  await expect(planner.getByRole('button', { name: /^Crescent 39/ })).toBeVisible();
  await planner.getByRole('button', { name: /^Crescent 39/ }).click();
  await keep(planner, 'plan');
  await planner.getByRole('link', { name: 'Open dough' }).click();
  await expect(planner.getByRole('heading', { name: 'Crescent 39', level: 1 })).toBeVisible();
  await keep(planner, 'dough');
  await planner.goto('/plan');
  await planner.getByRole('button', { name: 'Add dough' }).click();
  await planner.getByRole('textbox', { name: 'Pieces' }).fill('120');
  await planner.getByRole('combobox', { name: 'Ready on' }).selectOption({ index: 0 });
  await planner.getByRole('textbox', { name: 'at' }).fill('18:00');
  await planner.getByRole('dialog').getByRole('button', { name: 'Add dough' }).click();
  await expect(planner.locator('p[role=alert]')).toContainText('cannot be ready');
  await keep(planner, 'add-dough-too-soon');

  await planner.goto('/formulas');
  await planner.getByRole('link', { name: 'Levain crescent dough' }).click();
  await expect(planner.getByRole('region', { name: 'Totals' })).toBeVisible();
  await keep(planner, 'formula');
  await planner.goto('/workbench');
  await planner.getByRole('tab', { name: 'Chill and warm' }).click();
  await planner.getByRole('combobox', { name: 'Piece' }).selectOption({ label: 'laminated block' });
  await planner.getByRole('combobox', { name: 'Goes into' }).selectOption({ label: 'Freezer' });
  await expect(planner.getByRole('figure')).toContainText('wanted');
  await keep(planner, 'workbench-chill');
  await planner.getByRole('tab', { name: 'Proof' }).click();
  await expect(planner.getByRole('row', { name: /^Warm, in the proofer/ })).toBeVisible();
  await keep(planner, 'workbench-proof');

  await planner.goto('/lamination');
  await expect(planner.getByRole('region', { name: /at 3\.9 mm/ }).getByRole('status')).toHaveText(
    'open honeycomb',
  );
  await keep(planner, 'lamination');
  await planner.goto('/dough/2/cut');
  await expect(planner.getByRole('row', { name: /^chocolate roll/ })).toBeVisible();
  await keep(planner, 'cut-plan');
  await planner.goto('/fillings');
  await expect(planner.getByRole('region', { name: 'crescent', exact: true })).toBeVisible();
  await keep(planner, 'fillings');

  const laminator = await signIn(browser, 'Selma', { width: 1024, height: 768 });
  for (const key of ['butter', 'butter-out', 'lock-in']) {
    await record(laminator, 5, key, 'start');
    await record(laminator, 5, key, 'finish');
  }
  await record(laminator, 5, 'turn-1', 'start');
  await laminator.goto('/bench');
  await expect(laminator.getByRole('list', { name: 'Gaps of the sheeter' })).toBeVisible();
  await keep(laminator, 'bench-turn');

  const baker = await signIn(browser, 'Jonas', { width: 1024, height: 768 });
  await expect(baker.getByRole('region', { name: 'Now' })).toBeVisible();
  await keep(baker, 'bench');
  await baker.getByRole('button', { name: /^Crescent 38\s*proof chocolate roll/ }).click();
  await expect(baker.getByRole('article')).toContainText('How does it look?');
  await keep(baker, 'bench-wait');
  await baker.goto('/plan');
  await baker.getByRole('button', { name: /^Chocolate roll 21/ }).click();
  await baker.getByRole('link', { name: 'Open dough' }).click();
  await baker.getByRole('link', { name: 'Mixing sheet' }).click();
  await expect(baker.getByRole('region', { name: 'Water' })).toBeVisible();
  await baker.getByRole('textbox', { name: 'Flour, °C' }).fill('30');
  await baker.getByRole('textbox', { name: 'Room, °C' }).fill('30');
  await baker.getByRole('textbox', { name: 'Tap, °C' }).fill('18');
  await expect(baker.getByText(/g of ice/)).toBeVisible();
  await keep(baker, 'mixing-sheet');
  await baker.goto('/rooms');
  const bakery = baker.getByRole('textbox', { name: 'Temperature of bakery' });
  await bakery.fill('28');
  await bakery.press('Enter');
  await expect(baker.getByText(/the plan gives it/).first()).toBeVisible();
  await keep(baker, 'rooms');
  await baker.goto('/bench');
  await baker.getByRole('button', { name: 'Night theme' }).click();
  await keep(baker, 'bench-night');
  await baker.goto('/plan');
  await expect(baker.getByRole('button', { name: /^Crescent 39/ })).toBeVisible();
  await baker.setViewportSize({ width: 1280, height: 800 });
  await keep(baker, 'plan-night');
});
