import { expect, test } from '@playwright/test';
import {
  alarms,
  carryOut,
  givePin,
  keptForOffline,
  pagesKept,
  setClock,
  TABLET,
  takeOver,
} from '../support/floor';
import { everybodyLeaves, expectAccessible, expectNoSidewaysScroll, signIn } from '../support/people';

test.afterEach(everybodyLeaves);

test('without a line one tablet goes on, also under another name; all of it arrives once, in the right name', async ({
  browser,
}) => {
  const shared = await signIn(browser, 'Jonas', TABLET);
  // Selma is on shift as well by then: whoever is not is called to nothing.
  await setClock(shared, '06:02');
  // Ida has been at this tablet during the shift.
  await takeOver(shared, 'Ida');
  await takeOver(shared, 'Jonas');
  await shared.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await shared.goto('/bench');
  await keptForOffline(shared);
  await pagesKept(shared);
  const selma = await signIn(browser, 'Selma', TABLET);
  const wall = await signIn(browser, 'Anton', TABLET);
  await wall.goto('/handover');

  await shared.context().setOffline(true);
  const first = alarms(shared).getByRole('listitem').first();
  const call = ((await first.textContent()) ?? '')
    .replace(/I’m on it$/, '')
    .slice(6)
    .trim();
  await first.getByRole('button', { name: 'I’m on it' }).click();
  await expect(alarms(shared).getByText(call)).toBeHidden();
  await expect(shared.getByText(/Offline, 1 to send/)).toBeVisible();
  // Meanwhile somebody with a line sees to the same thing.
  await alarms(selma).getByRole('listitem').filter({ hasText: call }).getByRole('button').click();
  await expect(alarms(selma).getByText(call)).toBeHidden();

  // Every view of the floor opens, though nobody has opened it here before.
  for (const [view, words] of [
    ['/oven', 'Oven'],
    ['/proof', 'Proof watch'],
    ['/batches', 'Batches'],
  ] as const) {
    await shared.goto(view);
    await expect(shared.getByRole('link', { name: words, exact: true })).toHaveAttribute(
      'aria-current',
      'page',
    );
  }

  await shared.goto('/handover');
  await shared.getByRole('textbox', { name: 'What the next shift needs to know' }).fill('Flour is low.');
  await shared.getByRole('button', { name: 'Leave note' }).click();
  await expect(shared.getByText('“Flour is low.”')).toBeVisible();
  await expect(shared.getByText(/Offline, 2 to send/)).toBeVisible();

  await shared.getByRole('button', { name: 'Jonas is signed in here; change' }).click();
  const sheet = shared.getByRole('dialog', { name: 'Who takes over?' });
  await expect(sheet).toContainText('Offline.');
  await expect(sheet.getByRole('button').filter({ hasText: /./ })).toHaveText([/^Ida/]);
  await sheet.getByRole('button', { name: /^Ida/ }).click();
  await expect(shared.getByRole('button', { name: 'Ida is signed in here; change' })).toContainText(
    'no PIN yet',
  );
  await shared.goto('/bench');
  await expect(shared.getByRole('button', { name: 'Ida is signed in here; change' })).toBeVisible();
  await shared
    .getByRole('region', { name: 'Now' })
    .getByRole('button', { name: 'Note', exact: true })
    .click();
  await shared.getByRole('dialog').getByRole('button', { name: 'smells sour' }).click();
  await expect(shared.getByText(/Offline, 3 to send/)).toBeVisible();

  await shared.context().setOffline(false);
  await expect(wall.getByText('“Flour is low.”')).toBeVisible();
  await expect(
    alarms(shared).or(shared.getByRole('alert')).getByText('Selma is already on it.'),
  ).toBeVisible();
  const open = shared.getByRole('region', { name: 'To be confirmed' });
  await expect(open).toContainText('1 recorded here by Ida, not confirmed yet');
  await expectAccessible(shared);
  await expect(wall.getByText('“smells sour”')).toHaveCount(0);
  await open.getByRole('button', { name: 'PIN of Ida' }).click();
  await givePin(shared, 'Ida');
  await expect(open).toHaveCount(0);
  const noted = wall.getByRole('listitem').filter({ hasText: '“smells sour”' });
  await expect(noted).toHaveCount(1);
  await expect(noted).toContainText('Ida');
});

test('a load is baked from the proof watch to its verdict, with planned and measured together on its page', async ({
  browser,
}) => {
  const jonas = await signIn(browser, 'Jonas', TABLET);
  const ida = await signIn(browser, 'Ida', TABLET);
  await setClock(jonas, '05:56');
  await ida.goto('/proof');
  await ida.getByRole('button', { name: /Crescent 38.*proof chocolate roll/ }).click();
  const look = ida.getByRole('dialog');
  await look.getByRole('combobox', { name: 'core probe' }).selectOption({ label: 'Core probe 1' });
  await look.getByRole('button', { name: /^Ready/ }).click();
  await expect(look.getByText(/judged 05:56: ready/)).toBeVisible();

  await carryOut(jonas, /Wash chocolate roll/);
  await carryOut(jonas, /Load oven chocolate roll/);
  await ida.goto('/oven');
  const inside = ida.getByRole('region', { name: 'In the oven' });
  await expect(inside).toContainText('Chocolate roll: two slits across');
  await setClock(ida, '06:15');
  await inside.getByRole('button', { name: 'Unload', exact: true }).click();
  const out = ida.getByRole('region', { name: 'Unloaded' });
  await out.getByRole('listitem').first().getByRole('button', { name: 'Count' }).click();
  await ida.getByRole('dialog').getByRole('button', { name: 'Save count' }).click();
  await expect(out).toContainText(/\d+ good/);

  await setClock(jonas, '06:50');
  await carryOut(jonas, /Rack and count chocolate roll/);
  await jonas.goto('/oven');
  await jonas
    .getByRole('region', { name: 'Unloaded' })
    .getByRole('link', { name: 'Crescent 38' })
    .first()
    .click();
  const roll = jonas.getByRole('region', { name: 'Chocolate roll' });
  for (const mark of ['rise 4, good', 'layers 5, excellent', 'taste 4, good'])
    await roll.getByRole('button', { name: mark }).click();
  await expect(roll).toContainText('marks 4.3 of 5');
  await expect(jonas.getByText(/planned/i).first()).toBeVisible();
  await expectAccessible(jonas);
});

test('a place shows its curve with limits, a planner moves them, and nonsense is refused in a sentence', async ({
  browser,
}) => {
  const mara = await signIn(browser, 'Mara');
  await mara.goto('/rooms');
  await mara.getByRole('link', { name: 'Proofer' }).click();
  await expect(mara.getByRole('figure', { name: 'Temperature of proofer' })).toContainText('limit 33 °C');
  await expectAccessible(mara);
  await mara.getByRole('link', { name: 'week' }).click();
  await mara.waitForURL(/span=week/);
  await expect(mara.getByRole('link', { name: 'week' })).toHaveAttribute('aria-current', 'page');
  const limits = mara.getByRole('region', { name: 'Limits', exact: true });
  await limits.getByLabel('maximum').fill('30 C');
  await limits.getByLabel('minimum').fill('31');
  await limits.getByRole('button', { name: 'Save limits' }).click();
  await expect(limits.getByRole('alert')).toHaveText('The minimum must be below the maximum.');
  await limits.getByLabel('minimum').fill('cold');
  await limits.getByRole('button', { name: 'Save limits' }).click();
  await expect(limits.getByRole('alert')).toContainText('Enter a temperature, such as 7 or 45 F');
  await limits.getByLabel('minimum').fill('68 F');
  await limits.getByRole('button', { name: 'Save limits' }).click();
  await expect(mara.getByRole('figure')).toContainText('limit 30 °C');
  await expect(mara.getByRole('figure')).toContainText('limit 20 °C');

  const jonas = await signIn(browser, 'Jonas', { width: 360, height: 740 });
  await jonas.goto('/rooms/proofer?span=year');
  await expect(jonas.getByRole('figure', { name: 'Temperature of proofer' })).toBeVisible();
  await expect(jonas.getByRole('region', { name: 'Limits', exact: true })).toHaveCount(0);
  await expectNoSidewaysScroll(jonas);
  await jonas.goto('/rooms/cellar');
  await expect(jonas.getByText(/not/i).first()).toBeVisible();
});

test('the bench of one person or station leaves out what others do, and stays so on this tablet', async ({
  browser,
}) => {
  const jonas = await signIn(browser, 'Jonas', TABLET);
  const next = jonas.getByRole('region', { name: 'Next' });
  const choice = next.getByRole('combobox', { name: 'Work for' });
  const rows = next.getByRole('listitem');
  await expect(rows).not.toHaveCount(0);
  const all = await rows.count();
  await choice.selectOption('oven');
  await expect.poll(() => rows.count()).toBeLessThan(all);
  for (const row of await rows.allTextContents()) expect(row).toMatch(/Wash|Load|Bake|Nothing/);
  await expectAccessible(jonas);
  await jonas.reload();
  await expect(choice).toHaveValue('oven');
  await choice.selectOption('team');
  await expect(rows).toHaveCount(all);
});

test('a tablet whose own clock is two hours off records the house’s time, with and without a line', async ({
  browser,
}) => {
  const jonas = await signIn(browser, 'Jonas', TABLET);
  await jonas.context().addInitScript(() => {
    const right = Date;
    const ahead = 2 * 3_600_000;
    globalThis.Date = class extends right {
      constructor(...at: [number]) {
        super(...(at.length > 0 ? at : ([right.now() + ahead] as [number])));
      }
      static override now = () => right.now() + ahead;
    } as DateConstructor;
  });
  const wall = await signIn(browser, 'Anton', TABLET);
  await wall.goto('/handover');
  await jonas.reload();
  await jonas.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await jonas.reload();
  const clock = /Demo clock, Thu (\d\d:\d\d)/;
  const shown = await jonas.getByRole('button', { name: clock }).getAttribute('aria-label');
  const [, time = ''] = clock.exec(shown ?? '') ?? [];
  const say = async (word: string) => {
    await jonas
      .getByRole('region', { name: 'Now' })
      .getByRole('button', { name: 'Note', exact: true })
      .click();
    await jonas.getByRole('dialog').getByRole('button', { name: word }).click();
  };
  const heard = (word: string) => wall.getByRole('listitem').filter({ hasText: `“${word}”` });
  await say('sticky');
  await expect(heard('sticky')).toContainText(time);
  await keptForOffline(jonas);
  await jonas.context().setOffline(true);
  await say('tears');
  await expect(jonas.getByText(/Offline, 1 to send/)).toBeVisible();
  await jonas.reload();
  await expect(jonas.getByText(/1 to send/)).toBeVisible();
  await jonas.context().setOffline(false);
  await expect(heard('tears')).toContainText(time);
});
