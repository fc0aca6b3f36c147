import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from '../support/people';
import { openSheet } from '../support/sheets';

test('a promise that cannot be kept has ways out, each with its price; one is tried and kept', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/plan');
  await page.getByRole('button', { name: /promises? late/ }).click();
  const panel = page.getByRole('complementary', { name: /^Brioche/ });
  await expect(panel).toContainText(/ready .* late/);
  await panel.getByRole('button', { name: 'Ways out' }).click();
  const sheet = page.getByRole('dialog', { name: /^Ways out for Brioche/ });
  await expect(sheet.getByRole('button', { name: /Promise it for later/ })).toBeVisible({ timeout: 30_000 });
  await expect(sheet.getByText('Working out:')).toHaveCount(0, { timeout: 60_000 });
  await expectAccessible(page);
  const later = sheet.getByRole('button', { name: /Promise it for later/ });
  await expect(later).toContainText('kept');
  await expect(later).toContainText('tell the customer');
  await later.click();
  await sheet.getByRole('button', { name: 'Accept it' }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByRole('button', { name: /promises? late/ })).toHaveCount(0);
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
  await week.getByRole('button', { name: 'Keep the week' }).click();
  await expect(week.getByRole('alert')).toContainText('The plan would be hurt: Hands:');
  await week.getByRole('button', { name: 'Leave it as it was' }).click();
  await expect(week.getByRole('alert')).toHaveCount(0);
  await week.getByLabel('Thu from').fill('21:00');
  await week.getByLabel('Thu to').fill('20:00');
  await week.getByRole('button', { name: 'Keep the week' }).click();
  await expect(week.getByRole('alert')).toContainText('Does it end before it starts?');
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
  await sheet.getByLabel('What').selectOption({ label: 'A machine is out' });
  await sheet.getByLabel('Machine').selectOption({ label: 'Sheeter' });
  await sheet.getByLabel('From').fill('2026-11-20');
  await sheet.getByLabel('at', { exact: true }).first().fill('13:00');
  await sheet.getByLabel('Until, at').fill('15:30');
  await sheet.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(sheet.getByRole('alert')).toContainText('Sheeter: 1 table too few at Fri');
  await sheet.getByRole('button', { name: 'Keep it all the same' }).click();
  await expect(sheet).toBeHidden();

  await mara.goto('/plan');
  await mara.getByRole('button', { name: 'Work out a mend' }).click();
  const mend = mara.getByRole('dialog', { name: 'A mend for the plan' });
  await expect(mend).toBeVisible({ timeout: 40_000 });
  await expect(mend.getByRole('listitem').first()).toContainText(/(later|earlier)/);
  // Meanwhile the floor goes on; nothing has moved there.
  await jonas.goto('/plan');
  await expect(jonas.getByRole('button', { name: 'Look at the proposed plan' })).toBeVisible();
  await jonas.getByRole('button', { name: 'Look at the proposed plan' }).click();
  // At this hour no planner is on shift: whoever is there may accept a repair.
  await expect(jonas.getByRole('button', { name: 'Accept it' })).toBeVisible();
  await mend.getByRole('button', { name: 'Accept it' }).click();
  await expect(mend).toBeHidden();
  await expect(mara.getByText(/Sheeter: 1 table too few/)).toHaveCount(0);
});
