import { expect, test } from '@playwright/test';
import { address, alertOf, signIn } from '../support/people';
import { openSheet } from '../support/sheets';

test('a private address gives one person’s work to whoever knows it, and to nobody else', async ({
  browser,
  request,
}) => {
  const page = await signIn(browser, 'Jonas');
  await page.goto('/plan');
  await openSheet(page, 'f');
  const sheet = page.getByRole('dialog', { name: 'Export the plan' });
  await expect(sheet.getByLabel('Whose work').getByRole('option')).toHaveText(['Jonas’s work']);
  await sheet.getByRole('button', { name: 'Create address' }).click();
  const told = await sheet.getByRole('status').textContent();
  const calendar = await request.get(told ?? '');
  expect(calendar.headers()['content-type']).toContain('text/calendar');
  const text = await calendar.text();
  expect(text).toContain('NAME:Backhaus Lindenried: Jonas');
  expect(text.match(/BEGIN:VEVENT/g)?.length ?? 0).toBeGreaterThan(3);
  expect((await request.get(`${address()}/api/calendar/guessed`)).status()).toBe(404);
});

test('busy times of a person come in from a calendar, and what they do to the plan is said first', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/house');
  await openSheet(page, page.getByRole('button', { name: 'Import a calendar' }));
  const sheet = page.getByRole('dialog', { name: 'Busy times from a calendar' });
  await sheet.getByLabel('Whose calendar').selectOption({ label: 'Piet' });
  await sheet.getByLabel('Or paste it here').fill('hello');
  await expect(alertOf(sheet)).toContainText('Not an iCalendar file');
  await sheet.getByLabel('Calendar file').setInputFiles({
    name: 'years.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.alloc(5_000_000, 'x'),
  });
  await expect(alertOf(sheet).filter({ hasText: 'years.ics is 5 MB' })).toBeVisible();
  await sheet.getByLabel('Calendar file').setInputFiles({
    name: 'piet.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(
      [
        ...['BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'UID:1', 'SUMMARY:first aid course'],
        ...['DTSTART:20261119T120000Z', 'DTEND:20261119T200000Z', 'END:VEVENT', 'END:VCALENDAR'],
      ].join('\r\n'),
    ),
  });
  await expect(sheet.getByRole('list', { name: 'Busy times' })).toContainText('first aid course');
  await sheet.getByRole('button', { name: 'Import 1 busy time' }).click();
  await expect(alertOf(sheet)).toContainText('This would cause problems:');
  await sheet.getByRole('button', { name: 'Save anyway' }).click();
  await expect(sheet).toBeHidden();
  const exceptions = page.getByRole('region', { name: 'Exceptions' });
  await expect(exceptions).toContainText('Piet is away Thu 13:00');
  await exceptions.getByRole('button', { name: 'Remove' }).click();
  await expect(exceptions).toContainText('No exceptions.');
});

test('the plan is read by station and by person', async ({ browser }) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/plan');
  const rows = page.getByRole('region', { name: 'Threads' });
  await expect(rows.getByRole('button', { name: /^Crescent 39,/ })).toBeVisible();
  await page.getByLabel('Rows').selectOption({ label: 'Stations' });
  await expect(rows.getByRole('group', { name: 'Sheeter' })).toBeVisible();
  await expect(rows.getByRole('button', { name: /^Crescent 39,/ })).toHaveCount(0);
  await page.getByLabel('Rows').selectOption({ label: 'People' });
  await expect(rows.getByRole('group', { name: 'Selma' })).toContainText(/(Crescent|Danish|Levain) \d+ /);
});
