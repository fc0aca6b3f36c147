import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from '../support/people';
import { openSheet } from '../support/sheets';

test('a promise that cannot be kept has ways out, each with its price; one is tried and kept', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/plan');
  await page.getByRole('button', { name: /orders? late/ }).click();
  const panel = page.getByRole('complementary', { name: /^Brioche/ });
  await expect(panel).toContainText(/ready .* late/);
  await panel.getByRole('button', { name: 'Ways out' }).click();
  const sheet = page.getByRole('dialog', { name: /^Ways out for Brioche/ });
  await expect(sheet.getByRole('button', { name: /Deliver later/ })).toBeVisible({ timeout: 30_000 });
  await expect(sheet.getByText('Calculating:')).toHaveCount(0, { timeout: 60_000 });
  await expectAccessible(page);
  const later = sheet.getByRole('button', { name: /Deliver later/ });
  await expect(later).toContainText('on time');
  await expect(later).toContainText('inform the customer');
  await later.click();
  await sheet.getByRole('button', { name: 'Accept' }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByRole('button', { name: /orders? late/ })).toHaveCount(0);
  await expect(panel).not.toContainText('late');
});

test('a shift that is taken away says what it does to the plan before it is kept', async ({ browser }) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/house');
  await expectAccessible(page);
  await openSheet(page, page.getByRole('button', { name: 'Piet' }));
  const week = page.getByRole('dialog', { name: 'Piet' }).getByRole('region', { name: 'Week' });
  await week.getByLabel('Thu from').fill('');
  await week.getByLabel('Thu to').fill('');
  await week.getByRole('button', { name: 'Save week' }).click();
  await expect(week.getByRole('alert')).toContainText('This would cause problems:');
  await week.getByRole('button', { name: 'Leave as it was' }).click();
  await expect(week.getByRole('alert')).toHaveCount(0);
  await week.getByLabel('Thu from').fill('21:00');
  await week.getByLabel('Thu to').fill('20:00');
  await week.getByRole('button', { name: 'Save week' }).click();
  await expect(week.getByRole('alert')).toContainText('Are start and end swapped?');
});

test('a machine that fails is mended for by a list that is accepted, while another tablet works', async ({
  browser,
}) => {
  const mara = await signIn(browser, 'Mara');
  const jonas = await signIn(browser, 'Jonas');
  await mara.goto('/house');
  await openSheet(
    mara,
    mara.getByRole('region', { name: 'Exceptions' }).getByRole('button', { name: 'Add' }),
  );
  const sheet = mara.getByRole('dialog');
  await sheet.getByLabel('What').selectOption({ label: 'Machine out of order' });
  await sheet.getByLabel('Machine').selectOption({ label: 'Sheeter' });
  await sheet.getByLabel('From').fill('2026-11-20');
  await sheet.getByLabel('at', { exact: true }).first().fill('13:00');
  await sheet.getByLabel('Until, at').fill('15:30');
  await sheet.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(sheet.getByRole('alert')).toContainText('Sheeter: 1 table short at Fri');
  await sheet.getByRole('button', { name: 'Save anyway' }).click();
  await expect(sheet).toBeHidden();

  await mara.goto('/plan');
  await mara.getByRole('button', { name: 'Find a repair' }).click();
  const mend = mara.getByRole('dialog', { name: 'Repair of the plan' });
  await expect(mend).toBeVisible({ timeout: 40_000 });
  await expect(mend.getByRole('listitem').first()).toContainText(/(later|earlier)/);
  // Meanwhile the floor goes on; nothing has moved there.
  await jonas.goto('/plan');
  await expect(jonas.getByRole('button', { name: 'See the proposed plan' })).toBeVisible();
  await jonas.getByRole('button', { name: 'See the proposed plan' }).click();
  // At this hour no planner is on shift: whoever is there may accept a repair.
  await expect(jonas.getByRole('button', { name: 'Accept' })).toBeVisible();
  await mend.getByRole('button', { name: 'Accept' }).click();
  await expect(mend).toBeHidden();
  await expect(mara.getByText(/Sheeter: 1 table short/)).toHaveCount(0);
});
