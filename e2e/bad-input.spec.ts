import { expect, test } from '@playwright/test';
import {
  address,
  alertOf,
  everybodyLeaves,
  expectNoSidewaysScroll,
  openPage,
  signIn,
} from './support/people';

test.afterEach(everybodyLeaves);

test('a due time that is too soon is refused with the step and the earliest time, which then works', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.getByRole('button', { name: 'Add dough' }).click();
  const sheet = page.getByRole('dialog', { name: 'Add dough' });
  const add = sheet.getByRole('button', { name: 'Add dough' });
  await sheet.getByRole('combobox', { name: 'Product' }).selectOption({ label: 'Brioche knot' });

  await sheet.getByRole('textbox', { name: 'Pieces' }).fill('twelve');
  await add.click();
  await expect(alertOf(sheet)).toHaveText('Enter a whole number of pieces, such as 120.');
  await sheet.getByRole('textbox', { name: 'Pieces' }).fill('24');
  await sheet.getByRole('textbox', { name: 'at' }).fill('noon');
  await add.click();
  await expect(alertOf(sheet)).toContainText('Enter a day and a time');

  await sheet.getByRole('combobox', { name: 'Ready on' }).selectOption({ index: 0 });
  await sheet.getByRole('textbox', { name: 'at' }).fill('09:00');
  await add.click();
  await expect(alertOf(sheet)).toContainText(/cannot be ready by .* The earliest is/);
  await sheet.getByRole('button', { name: 'Use the earliest time' }).click();
  await add.click();
  await expect(sheet).toBeHidden();

  const panel = page
    .getByRole('complementary', { name: /^Brioche \d+$/ })
    .filter({ hasText: '24 brioche knot' });
  const name = (await panel.getAttribute('aria-label')) ?? '';
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'removed from the plan' })).toContainText(name);
  await expect(page.getByRole('button', { name: new RegExp(`^${name},`) })).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('button', { name: new RegExp(`^${name},`) })).toBeVisible();
});

test('the same dough from two tabs is added once, unless told again', async ({ browser }) => {
  const first = await signIn(browser, 'Mara');
  const second = await openPage(first.context());
  await second.goto('/plan');
  for (const page of [first, second]) {
    await page.getByRole('button', { name: 'Add dough' }).click();
    const sheet = page.getByRole('dialog', { name: 'Add dough' });
    await sheet.getByRole('textbox', { name: 'Pieces' }).fill('30');
    await sheet.getByRole('combobox', { name: 'Product' }).selectOption({ label: 'Brioche knot' });
    await sheet.getByRole('combobox', { name: 'Ready on' }).selectOption({ label: 'Tue 24.11.' });
    await sheet.getByRole('textbox', { name: 'at' }).fill('09:00');
  }
  await first.getByRole('dialog').getByRole('button', { name: 'Add dough' }).click();
  await expect(first.getByRole('dialog')).toBeHidden();
  await second.getByRole('dialog').getByRole('button', { name: 'Add dough' }).click();
  await expect(alertOf(second)).toContainText('is the same dough, added by Mara');
  await second.getByRole('button', { name: 'Add anyway' }).click();
  await expect(second.getByRole('dialog')).toBeHidden();
});

test('a wrong PIN is told, and what a tab taps that was signed out waits for the PIN, which lists it first', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Anton');
  const other = await openPage(page.context());
  // This tab does not hear that its session ends.
  await page.route(/\/api\/(feed|session)/, (route) => route.abort());
  await page.reload();
  await other.goto('/bench');
  await other.getByRole('button', { name: 'Sign out' }).click();
  await expect(other).toHaveURL(/\/sign-in$/);
  await other.getByRole('button', { name: /^Anton/ }).click();
  await other.locator('input[type=password]').fill('0000');
  await other.keyboard.press('Enter');
  await expect(alertOf(other)).toHaveText('That is not Anton’s PIN.');
  // A note, which asks nothing back whatever there is to do.
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByRole('dialog').getByLabel('In your own words').fill('tapped while signed out');
  await page.getByRole('dialog').getByRole('button', { name: 'Record' }).click();
  // A page that is left for another meanwhile is no fault: what counts is where it ends.
  await expect(page).toHaveURL(/\/sign-in\?ended$/);
  await page.unrouteAll();
  await expect(page.getByRole('status')).toContainText('What you recorded since is on this tablet');
  await page.getByRole('button', { name: /^Anton/ }).click();
  const list = page.getByRole('group', { name: 'Confirm with your PIN' });
  await expect(list.getByRole('checkbox')).toHaveCount(1);
  const sent = page.waitForResponse((answer) => answer.url().endsWith('/record-event'));
  await page.locator('input[type=password]').fill('5090');
  await page.keyboard.press('Enter');
  expect((await sent).status()).toBe(200);
  await expect(page.getByText('Live', { exact: true })).toBeVisible();
});

test('every page and route asks who is there, and none obeys another site', async ({
  browser,
  playwright,
}) => {
  const stranger = await playwright.request.newContext({ baseURL: address() });
  for (const path of ['/plan', '/bench', '/dough/1']) {
    const answer = await stranger.get(path, { maxRedirects: 0 });
    expect(answer.status(), path).toBe(307);
    expect(answer.headers().location).toContain('/sign-in');
  }
  expect((await stranger.get('/api/feed')).status()).toBe(401);
  const own = { headers: { origin: address() }, data: { doughId: 1 } };
  const signedOut = await stranger.post('/api/commands/remove-dough', own);
  expect(signedOut.status()).toBe(401);
  expect(((await signedOut.json()) as { message: string }).message).toContain('nothing was changed');

  const page = await signIn(browser, 'Mara');
  const replayed = await page.request.post('/api/commands/remove-dough', {
    headers: { origin: 'http://elsewhere.example' },
    data: { doughId: 1 },
  });
  expect(replayed.status()).toBe(403);
  expect(((await replayed.json()) as { message: string }).message).toContain('another site');
  const huge = await page.request.post('/api/commands/record-event', {
    headers: { origin: address() },
    data: { text: 'x'.repeat(300_000) },
  });
  expect(huge.status()).toBe(400);
  await page.goto('/dough/99999');
  await expect(page.getByRole('heading', { name: 'Not found' })).toBeVisible();
});

test('a phone and the night theme show the same work, by keyboard too', async ({ browser }) => {
  const page = await signIn(browser, 'Ida', { width: 360, height: 740 });
  await expectNoSidewaysScroll(page);
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('button', { name: 'Night theme' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
  for (const path of ['/plan', '/dough/3']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeAttached();
    await expectNoSidewaysScroll(page);
  }

  const planner = await signIn(browser, 'Mara');
  const pressed = planner.getByRole('region', { name: 'Threads' }).locator('[aria-pressed=true]');
  const before = await pressed.getAttribute('aria-label');
  await planner.keyboard.press('ArrowDown');
  await expect(pressed).not.toHaveAttribute('aria-label', before ?? '');
  await planner.keyboard.press('?');
  await expect(planner.getByRole('dialog', { name: 'Signs and keys' })).toBeVisible();
  await planner.keyboard.press('Escape');
  await planner.keyboard.press('Enter');
  await planner.waitForURL('**/dough/*');
});
