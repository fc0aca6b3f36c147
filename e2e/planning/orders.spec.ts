import { expect, test } from '@playwright/test';
import { openDough } from '../support/doughs';
import { alertOf, expectAccessible, expectNoSidewaysScroll, signIn } from '../support/people';
import { openSheet } from '../support/sheets';

test('an order becomes a dough in the plan, with the time until which it can be changed', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/orders');
  await expect(page.getByRole('heading', { name: 'Proposed doughs' })).toBeVisible();
  await expectAccessible(page);
  await openSheet(page, page.getByRole('button', { name: 'Add order' }));
  const form = page.getByRole('dialog', { name: 'Add order' });
  await form.getByLabel('Customer').fill('Choir');
  await form.getByLabel('Product').selectOption({ label: 'Plum danish' });
  await form.getByLabel('Pieces').fill('36');
  await form.getByLabel('Day').fill('2026-11-18');
  await form.getByLabel('Ready by').fill('10:30');
  await form.getByRole('button', { name: 'Add order' }).click();
  await expect(alertOf(form)).toContainText('Wed 10:30 is in the past');
  await form.getByLabel('Day').fill('2026-11-22');
  await form.getByRole('button', { name: 'Add order' }).click();
  await expect(form).toBeHidden();

  const sunday = page.getByRole('region', { name: 'Sunday' });
  const order = sunday.getByRole('listitem').filter({ hasText: 'Choir' });
  await expect(order).toContainText('36 without a dough');
  const proposal = page
    .getByRole('region', { name: 'Proposed doughs' })
    .getByRole('listitem')
    .filter({ hasText: '36 plum danish' });
  await expect(proposal).toContainText(/kg in 1 bowl, \d+ % full; nothing left over/);
  await proposal.getByRole('button', { name: 'Plan dough' }).click();
  await expect(order).toContainText(/Danish \d+, mixed \w{3} \d\d:\d\d/, { timeout: 30_000 });
  await expect(proposal).toHaveCount(0);

  // What was promised can be cut, exactly: plan, sheet and order tell one count.
  const [name = ''] = /Danish \d+/.exec((await order.textContent()) ?? '') ?? [];
  await openDough(page, name);
  await expect(page.getByRole('main')).toContainText('36');
  await page.getByRole('link', { name: 'Cut plan' }).click();
  const cut = page.getByRole('group', { name: 'What the sheet gives' });
  await expect(cut.getByRole('row', { name: /^plum danish/ })).toContainText(/36/);
  await expect(cut).not.toContainText('short');
  await expect(page.getByRole('img', { name: /with 36 pieces$/ })).toBeVisible();
  await page.goto('/orders');

  const pieces = order.getByRole('textbox', { name: 'Pieces of plum danish for Choir' });
  await pieces.fill('40');
  await pieces.press('Enter');
  await expect(order).toContainText('4 without a dough');
  await pieces.fill('36');
  await pieces.press('Enter');
  await expect(order).not.toContainText('without a dough');
});

test('orders come from a table, every fault named by its line', async ({ browser }) => {
  const page = await signIn(browser, 'Mara', { width: 360, height: 740 });
  await page.goto('/orders');
  await expectNoSidewaysScroll(page);
  await openSheet(page, page.getByRole('button', { name: 'Import' }));
  const sheet = page.getByRole('dialog');
  await sheet
    .getByLabel('Or paste it here')
    .fill(
      'customer,product,pieces,day,time\nInn,Sugared bun,12,2026-11-25,10:00\nInn,Pretzel,12,2026-11-25,10:00\n',
    );
  await expect(sheet.getByRole('alert')).toContainText('Line 3: “Pretzel”');
  await sheet.getByRole('button', { name: /^Import 1 order/ }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByRole('region', { name: 'Wednesday' })).toContainText('Inn');
});
