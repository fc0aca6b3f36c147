import { expect, test } from '@playwright/test';
import { TABLET } from '../support/floor';
import {
  becomesWhole,
  everybodyLeaves,
  expectAccessible,
  expectNoSidewaysScroll,
  signIn,
} from '../support/people';

test.afterEach(everybodyLeaves);

/** The smallest picture there is: one grey dot. */
const PICTURE = Buffer.from('R0lGODlhAQABAIAAAP///wAAACwAAAAAAQABAAACAkQBADs=', 'base64');

test('a finished batch is judged in some taps, is told what was likely behind its faults, and is found by them', async ({
  browser,
}) => {
  const jonas = await signIn(browser, 'Jonas', TABLET);
  await jonas.goto('/batches');
  await expectAccessible(jonas);
  await jonas.getByRole('link', { name: 'Brioche 26' }).click();
  const loaf = jonas.getByRole('region', { name: 'Brioche loaf' });
  await expect(loaf).toContainText('11 good, 1 second');
  await loaf.getByRole('button', { name: 'rise 1, not for sale' }).click();
  await loaf.getByRole('button', { name: 'taste 2, poor' }).click();
  await expect(loaf).toContainText('marks 2.8 of 5');
  await loaf.getByRole('button', { name: 'Sour, blistered, grey' }).click();
  const causes = loaf.getByRole('region', { name: 'Likely causes' }).getByRole('listitem');
  await expect(causes.filter({ hasText: 'for: flat or wrinkled' }).first()).toContainText('Next time: ');
  // Where the record is silent, a look that somebody remembers tells.
  await loaf.getByRole('button', { name: 'Skin, cracks, dull' }).click();
  const uncovered = causes.filter({ hasText: 'Were they left uncovered?' });
  const stored = jonas.waitForResponse((answer) => answer.url().endsWith('/record-event'));
  await uncovered.getByRole('button', { name: 'Yes' }).click();
  expect((await stored).status()).toBe(200);
  await expect(causes.filter({ hasText: 'Left uncovered' })).toContainText('Record: left uncovered');
  await expect(causes.first()).toContainText('very likely, for: skin, cracks, dull');
  await expectAccessible(jonas);

  const ida = await signIn(browser, 'Ida', { width: 360, height: 740 });
  await ida.goto('/batches');
  await ida.getByRole('textbox', { name: 'Product' }).fill('brioche');
  await ida.getByLabel('Marks').selectOption({ label: '3 or less (fair)' });
  await ida.getByRole('button', { name: 'Find' }).click();
  // The page before may have the same row: what is typed into it is gone with it.
  await expect(ida).toHaveURL(/product=brioche/);
  await becomesWhole(ida);
  await expect(ida.getByRole('row', { name: /Brioche 26.*2\.8 of 5/ })).toBeVisible();
  await expectNoSidewaysScroll(ida);
  await ida.getByRole('textbox', { name: 'Word in a note' }).fill('no such word');
  await ida.getByRole('button', { name: 'Find' }).click();
  await expect(ida.getByRole('form', { name: 'Batches found' })).toContainText('No matching batches.');
  await ida.goto('/batches?from=tomorrow');
  await expect(ida.getByText(/Enter a day, such as/)).toBeVisible();
});

test('a photo is made small and kept; what is no picture is refused whatever it is called', async ({
  browser,
}) => {
  const jonas = await signIn(browser, 'Jonas', TABLET);
  await jonas.goto('/batch/1');
  const photos = jonas.getByRole('region', { name: 'Photos' });
  const choose = photos.getByLabel('Photo');
  await choose.setInputFiles({ name: 'loaf.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(photos.getByRole('status')).toContainText('loaf.jpg is not a picture');
  await choose.setInputFiles({ name: 'loaf.gif', mimeType: 'image/gif', buffer: PICTURE });
  const shown = photos.getByRole('img', { name: /taken by Jonas/ });
  await expect(shown).toBeVisible();
  await expect(photos.getByRole('status')).toHaveText('Photo saved.');

  const src = (await shown.getAttribute('src')) ?? '';
  const origin = new URL(jonas.url()).origin;
  const put = (data: Buffer) => jonas.request.put(`${src}?dough=1`, { data, headers: { origin } });
  expect((await put(Buffer.alloc(40_000_000, 255))).status()).toBe(413);
  expect((await put(Buffer.from('<script>'))).status()).toBe(422);
  const stranger = await browser.newContext({ baseURL: origin });
  expect((await stranger.request.get(src)).status()).toBe(401);
  await stranger.close();
});

test('a tablet is taken over with a PIN where it is, a screen on the wall changes nothing, and sessions can be ended', async ({
  browser,
}) => {
  const tablet = await signIn(browser, 'Jonas', TABLET);
  await tablet.goto('/oven');
  await tablet.getByRole('button', { name: /^Jonas is signed in here/ }).click();
  const sheet = tablet.getByRole('dialog', { name: 'Who takes over?' });
  await sheet.getByRole('button', { name: /^Ida/ }).click();
  await sheet.getByRole('textbox', { name: 'PIN of Ida' }).fill('9999');
  await tablet.keyboard.press('Enter');
  await expect(sheet.getByRole('alert')).toContainText('not Ida’s PIN');
  await sheet.getByRole('textbox', { name: 'PIN of Ida' }).fill('2806');
  await tablet.keyboard.press('Enter');
  await expect(tablet.getByRole('button', { name: /^Ida is signed in here/ })).toBeVisible();
  expect(new URL(tablet.url()).pathname).toBe('/oven');

  const origin = new URL(tablet.url()).origin;
  await tablet.request.put('/api/session', { headers: { origin } });
  await tablet.goto('/bench');
  await expect(tablet.getByRole('button', { name: /^Nobody is signed in here/ })).toBeEnabled();
  await expect(tablet.getByRole('region', { name: 'Now' }).getByRole('button').first()).toBeDisabled();
  const refused = await tablet.request.post('/api/commands/take-alarm', {
    data: { alarm: 'wash/3/8.1.bake' },
    headers: { origin },
  });
  expect(refused.status()).toBe(422);
  // A photo that waits on a tablet at rest is not given up.
  const photo = await tablet.request.put(`/api/photos/${crypto.randomUUID()}?dough=1`, {
    data: PICTURE,
    headers: { origin },
  });
  expect(photo.status()).toBe(403);

  const mara = await signIn(browser, 'Mara');
  await mara.goto('/house');
  await mara.getByRole('region', { name: 'People' }).getByRole('button', { name: /^Ida/ }).click();
  const ended = mara.waitForResponse((answer) => answer.url().endsWith('/end-sessions'));
  await mara.getByRole('button', { name: /^Sign Ida out/ }).click();
  expect((await ended).status()).toBe(200);
  // The tablet leaves by itself, and nothing leads back.
  await expect(tablet).toHaveURL(/\/sign-in\?ended$/);
  await tablet.goto('/bench');
  await expect(tablet).toHaveURL(/\/sign-in$/);
});

test('what one baker takes is theirs on the other tablet, and another can take it over', async ({
  browser,
}) => {
  const [jonas, ida] = [await signIn(browser, 'Jonas', TABLET), await signIn(browser, 'Ida', TABLET)];
  const next = (page: typeof jonas) => page.getByRole('region', { name: 'Next' });
  // One that is still to come: what can be started is in the hand of whoever takes it.
  const step = /Load oven butter crescent, /;
  await next(jonas)
    .getByRole('button', { name: new RegExp(`^Take ${step.source}`) })
    .first()
    .click();
  const his = next(ida).getByRole('button', { name: new RegExp(`^Take over from Jonas: ${step.source}`) });
  await expect(his).toBeVisible();
  await expectAccessible(ida);
  await his.click();
  await expect(his).toHaveCount(0);
  await expect(
    next(jonas).getByRole('button', { name: new RegExp(`^Take over from Ida: ${step.source}`) }),
  ).toBeVisible();
});
