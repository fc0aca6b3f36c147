import { expect, type Page, test } from '@playwright/test';
import { alarms, TABLET } from '../support/floor';
import { everybodyLeaves, expectAccessible, signIn } from '../support/people';
import { beginNight, doneUpTo, newestDough, type Night } from '../support/night';

let night: Night;
test.beforeEach(async () => {
  night = await beginNight();
});
test.afterEach(async () => {
  await everybodyLeaves();
  await night.end();
});

/** Counts taps: buttons, links, ticks. */
const tapping = () => {
  let taps = 0;
  return {
    tap: async (target: ReturnType<Page['getByRole']>) => {
      taps += 1;
      await target.click();
    },
    taps: () => taps,
  };
};
const bench = (page: Page) => page.getByRole('region', { name: /^next$/i });

test('the oven breaks with loads in the proofer, one baker and no planner: saved, and a plan in five taps', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Jonas', TABLET);
  const { tap, taps } = tapping();
  await tap(page.getByRole('button', { name: 'Trouble' }));
  const broken = page.getByRole('dialog').getByRole('region', { name: 'Out of order' });
  await tap(broken.getByRole('button', { name: 'Oven', exact: true }));
  await page.waitForURL(/\/plan/);
  await tap(page.getByRole('button', { name: /^Accept/ }).first());
  await expect(page.getByRole('button', { name: /^Accept/ })).toHaveCount(0, { timeout: 120_000 });

  await page.goto('/bench');
  await expect(page.getByRole('region', { name: 'Out now' })).toContainText('Oven');
  const danger = page.getByRole('region', { name: 'Loads in trouble' });
  await expect(danger).toContainText('Crescent 38');
  await expectAccessible(page);
  const cold = danger.getByRole('button', { name: /^Into retarder: keeps until/i });
  while ((await cold.count()) > 0) {
    const before = await cold.count();
    await tap(cold.first());
    await expect(cold).toHaveCount(before - 1);
  }
  expect(taps()).toBeLessThanOrEqual(6);

  // No screen promises what the oven cannot do, and nothing calls for it.
  for (const view of ['/bench', '/proof', '/oven', '/handover']) {
    await page.goto(view);
    await expect(page.getByRole('region', { name: 'Out now' })).toContainText('Oven');
    await expect(page.getByText(/Heat oven/)).toHaveCount(0);
    await expect(page.getByText('05:38')).toHaveCount(0);
  }
  await expect(page.getByText('Everything went to plan.')).toHaveCount(0);
});

test('two hours without a tap are caught up in two', async ({ browser }) => {
  await night.pass(130);
  const page = await signIn(browser, 'Jonas', TABLET);
  const { tap, taps } = tapping();
  await expect(page.getByText(/^Nothing recorded since 04:07: \d+ steps may be done\.$/)).toBeVisible();
  // Nobody is called to what nobody knows of.
  await expect(alarms(page).getByText(/Crescent 38/)).toHaveCount(0);
  await tap(page.getByRole('button', { name: 'Catch up' }));
  await expectAccessible(page);
  await tap(page.getByRole('dialog').getByRole('button', { name: /^Record \d+ steps$/ }));
  expect(taps()).toBe(2);
  await expect(page.getByRole('button', { name: 'Catch up' })).toHaveCount(0);
  await expect(page.getByRole('region', { name: /^now$/i })).toContainText(/Rack and count/);
  await expect(bench(page).getByText(/^late/)).toHaveCount(0);

  // On the batch's page they are marked as entered later.
  await page.goto('/oven');
  await expect(page.getByRole('region', { name: 'Unloaded' })).toContainText('Crescent 38');
  await page.goto('/handover');
  await expect(page.getByText('Everything went to plan.')).toHaveCount(0);
});

test('a step that was done at another time is entered with it', async ({ browser }) => {
  await night.pass(20);
  const page = await signIn(browser, 'Jonas', TABLET);
  const now = page.getByRole('region', { name: /^now$/i });
  await expect(now.getByRole('heading', { name: 'Degas and press flat' })).toBeVisible();
  await now.getByRole('button', { name: 'Earlier …' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('textbox', { name: 'Done at' }).fill('25:00');
  await expect(sheet.getByRole('button', { name: 'Record' })).toBeDisabled();
  await sheet.getByRole('textbox', { name: 'Done at' }).fill('04:00');
  await expect(sheet.getByRole('button', { name: 'Record' })).toBeDisabled();
  await sheet.getByRole('textbox', { name: 'Done at' }).fill('0415');
  await sheet.getByRole('button', { name: 'Record' }).click();
  await expect(now.getByRole('heading', { name: 'Degas and press flat' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Undo/ })).toContainText('04:15');
});

test('a dough that is dropped is gone from every screen, and its customers are told one by one', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Jonas', TABLET);
  const { tap, taps } = tapping();
  await tap(page.getByRole('button', { name: 'Trouble' }));
  await tap(
    page
      .getByRole('dialog')
      .getByRole('region', { name: 'Lost or spoilt' })
      .getByRole('button', { name: 'Crescent 38' }),
  );
  await tap(page.getByRole('dialog').getByRole('button', { name: 'dropped' }));
  expect(taps()).toBe(3);
  await expect(bench(page).getByText('Crescent 38')).toHaveCount(0);
  await page.goto('/proof');
  await expect(page.getByRole('button', { name: /Crescent 38/ })).toHaveCount(0);

  await page.goto('/handover');
  const short = page.getByRole('region', { name: 'Short orders' });
  await expect(short).toContainText('70 of 70 Butter crescents short');
  await expect(short).toContainText('30 of 30 Butter crescents short');
  await expect(page.getByText(/Crescent 38 lost: dropped/)).toBeVisible();
  await expectAccessible(page);
  await tap(short.getByRole('button', { name: 'Informed Shop' }));
  await expect(short.getByText(/Informed 04:10, Jonas/)).toBeVisible();
  await page.goto('/orders');
  const again = page.getByRole('region', { name: 'Short orders' });
  await expect(again.getByText(/Informed 04:10, Jonas/)).toBeVisible();
  await expect(again.getByRole('button', { name: /^Informed Café am Wehr/ }).first()).toBeVisible();
});

test('after two days without a tap the application is of use at once', async ({ browser }) => {
  await night.pass(48 * 60);
  const page = await signIn(browser, 'Jonas', TABLET);
  // Saturday 04:10: no alarms of what was due on Thursday, nothing days late.
  await expect(page.getByText(/late (2[4-9]|[3-9]\d) h/)).toHaveCount(0);
  await expect(alarms(page).getByText(/should be|Mix egg wash|Heat oven/)).toHaveCount(0);
  const { tap, taps } = tapping();
  await tap(page.getByRole('button', { name: 'Catch up' }));
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByRole('region', { name: 'Ended, not recorded' })).toContainText('Crescent 39');
  await tap(sheet.getByRole('button', { name: /^Close (it|all \d+) as not recorded$/ }));
  await expect(sheet.getByRole('region', { name: 'Ended, not recorded' })).toHaveCount(0);
  const rest = sheet.getByRole('button', { name: /^Record \d+ steps$/ });
  if (await rest.isVisible()) await tap(rest);
  expect(taps()).toBeLessThanOrEqual(3);
  await page.goto('/handover');
  await expect(page.getByText(/Crescent 39 closed: last steps not recorded/)).toBeVisible();
  await page.goto('/orders/past');
  await expect(page.getByRole('heading', { name: 'Past orders' })).toBeVisible();
});

test('half of a load is frozen at shaping, ordered two days later, thawed and baked: one count on every screen', async ({
  browser,
}) => {
  await doneUpTo(night.pool, 'Crescent 39', '6.1.shape');
  const page = await signIn(browser, 'Jonas', TABLET);
  const { tap, taps } = tapping();
  await tap(
    bench(page)
      .getByRole('button', { name: /Shape butter crescent.*Crescent 39/ })
      .first(),
  );
  const card = page.getByRole('region', { name: /^now$/i });
  await tap(card.getByRole('button', { name: /^Start shape/ }));
  const freeze = card.getByRole('form', { name: 'To the freezer' });
  await freeze.getByLabel(/^Pieces to the freezer, of 120/).fill('60');
  await freeze.getByLabel('Which trays or bag').fill('trays 1 to 4');
  await tap(freeze.getByRole('button', { name: 'Freeze' }));
  await expect(freeze.getByRole('status')).toContainText('60 in the freezer (trays 1 to 4), 60 go on.');
  await tap(card.getByRole('button', { name: 'Done', exact: true }));
  expect(taps()).toBe(4);
  // Nobody is called for what is in the freezer.
  await expect(alarms(page).getByText(/Crescent 39/)).toHaveCount(0);
  // Nothing else offers what is in the freezer, and the rest is what its order still gets.
  await page.goto('/orders');
  const stock = page.getByRole('region', { name: 'Frozen pieces' });
  await expect(stock).toContainText('60 of 19 Nov, best before 19 Dec');
  await page.goto('/dough/5');
  await expect(page.getByRole('main')).toContainText('60 in the freezer, trays 1 to 4');

  await everybodyLeaves();
  await night.pass(48 * 60);
  const mara = await signIn(browser, 'Mara');
  await mara.goto('/orders');
  await mara.getByRole('button', { name: 'Add order' }).click();
  const form = mara.getByRole('dialog', { name: 'Add order' });
  await form.getByLabel('Customer').fill('Rowing club');
  await form.getByLabel('Product').selectOption({ label: 'Butter crescent' });
  await form.getByLabel('Pieces').fill('60');
  await form.getByLabel('Day').fill('2026-11-23');
  await form.getByLabel('Ready by').fill('09:00');
  await form.getByRole('button', { name: 'Add order' }).click();
  await expect(form).toBeHidden();
  const thaw = mara
    .getByRole('list', { name: 'To thaw' })
    .getByRole('listitem')
    .filter({ hasText: 'butter crescent' });
  const lines = await thaw.allTextContents();
  const pieces = Number(/\d+/.exec(lines.at(-1) ?? '')?.[0]);
  await thaw.last().getByRole('button', { name: 'Plan the bake' }).click();
  await expect(thaw).toHaveCount(lines.length - 1, { timeout: 60_000 });
  await expect(mara.getByRole('region', { name: 'Frozen pieces' })).toContainText('for planned batches');

  // Thawed and proofed as planned: on every screen it is a load of so many pieces.
  const batch = await newestDough(night.pool);
  const bake = batch.steps.find(({ step }) => step.kind === 'bake')?.key ?? '';
  expect(batch.steps.some(({ step }) => step.kind === 'thaw')).toBe(true);
  expect(batch.outputs[0]?.pieces).toBe(pieces);
  await doneUpTo(night.pool, batch.name, bake);
  await night.pass(1);
  const oven = await signIn(browser, 'Jonas', TABLET);
  await oven.goto('/oven');
  await expect(oven.getByRole('region', { name: 'In the oven' })).toContainText(batch.name);
  await oven
    .getByRole('article')
    .filter({ hasText: batch.name })
    .getByRole('button', { name: 'Unload', exact: true })
    .click();
  const out = oven.getByRole('region', { name: 'Unloaded' });
  await expect(out).toContainText(`${pieces} pieces`);
  await out
    .getByRole('listitem')
    .filter({ hasText: batch.name })
    .getByRole('button', { name: 'Count' })
    .click();
  await oven.getByRole('dialog').getByRole('button', { name: 'Save count' }).click();
  await expect(out).toContainText(`${pieces} good`);
});

test('two bakers and a helper give three turns to two blocks in mixed order across a shift change, and no turn is in doubt', async ({
  browser,
}) => {
  await doneUpTo(night.pool, 'Levain 3', 'turn-1');
  const card = (page: Page) => page.getByRole('region', { name: /^now$/i });
  /** Takes a turn of this dough in hand, whatever else is on the bench; what is rested too little is asked once. */
  const take = async (page: Page, turn: number) => {
    await page.goto('/bench');
    // What others do at the same moment may put another step first: the row holds this one.
    const own = card(page).filter({ has: page.getByRole('heading', { name: `Turn ${turn} of 3` }) });
    const row = page.getByRole('region', { name: /^(next|also under way)$/i }).getByRole('button', {
      name: new RegExp(`Turn ${turn}.*Levain 3`),
    });
    await expect(async () => {
      if (await row.first().isVisible()) await row.first().click({ timeout: 2000 });
      await expect(own).toContainText('Levain 3', { timeout: 2000 });
    }).toPass();
    const start = card(page).getByRole('button', { name: `Start turn ${turn}` });
    if (await start.isVisible()) {
      await start.click();
      const anyway = card(page).getByRole('button', { name: 'Start anyway' });
      if (await anyway.isVisible()) await anyway.click();
    }
  };
  const blocks = (page: Page) => card(page).getByRole('list', { name: 'Blocks' });

  // Jonas takes block B first, and gives it turns 1 and 2 in one go.
  const jonas = await signIn(browser, 'Jonas', TABLET);
  await take(jonas, 1);
  const { tap, taps } = tapping();
  await tap(blocks(jonas).getByRole('button', { name: /^Block B/ }));
  await expect(card(jonas).getByRole('button', { name: 'Block B done' })).toBeVisible();
  await tap(card(jonas).getByRole('button', { name: 'Folded differently' }));
  const otherwise = jonas.getByRole('dialog', { name: 'Folds of block B' });
  await tap(otherwise.getByRole('button', { name: /^Turns 1 and 2 /i }));
  expect(taps()).toBe(3);
  await expect(blocks(jonas)).toContainText('Block B: 2 folds, done');

  // Ida gives block A its first turn: the turn is over, and her slip is taken back by Jonas from the team's last taps.
  const ida = await signIn(browser, 'Ida', TABLET);
  await take(ida, 1);
  await card(ida).getByRole('button', { name: 'Block A done' }).click();
  await expect(card(ida).getByRole('button', { name: 'Block A done' })).toHaveCount(0);
  await jonas.goto('/bench');
  await jonas.getByRole('button', { name: 'Last taps' }).click();
  const lastTaps = jonas.getByRole('dialog', { name: 'Last taps' });
  await expect(lastTaps.getByRole('listitem').filter({ hasText: 'Ida' }).first()).toContainText(
    /Levain 3, Turn 1/,
  );
  await lastTaps
    .getByRole('button', { name: /^Undo Levain 3, Turn 1/ })
    .first()
    .click();
  await jonas.keyboard.press('Escape');
  await take(ida, 1);
  await expect(card(ida).getByRole('button', { name: 'Block A done' })).toBeVisible();
  await card(ida).getByRole('button', { name: 'Block A done' }).click();
  await expect(card(ida).getByRole('button', { name: 'Block A done' })).toHaveCount(0);

  // The shift changes: Piet helps, and finishes what he starts. Block B has had turn 2 already.
  await night.pass(9 * 60);
  const piet = await signIn(browser, 'Piet', TABLET);
  await take(piet, 2);
  await expect(blocks(piet)).toContainText('Block B: 2 folds, done');
  await card(piet).getByRole('button', { name: 'Block A done' }).click();
  await expect(card(piet).getByRole('button', { name: 'Block A done' })).toHaveCount(0);

  // Turn 3: B before A, by two people.
  const anton = await signIn(browser, 'Anton', TABLET);
  await take(anton, 3);
  await blocks(anton)
    .getByRole('button', { name: /^Block B/ })
    .click();
  await card(anton).getByRole('button', { name: 'Block B done' }).click();
  await expect(blocks(anton)).toContainText('Block B: 3 folds, done');
  await take(piet, 3);
  await card(piet).getByRole('button', { name: 'Block A done' }).click();
  await expect(card(piet).getByRole('button', { name: 'Block A done' })).toHaveCount(0);

  // Every screen tells one count; a fold that was told wrong is corrected for its block alone.
  await anton.goto('/dough/8');
  const layers = anton.getByRole('region', { name: 'Layers' });
  await expect(layers).toContainText('turn 3 of 3 done');
  await expect(layers).toContainText('B: had letter fold, letter fold, letter fold');
  await layers.getByRole('button', { name: 'Turn 3 was folded differently' }).click();
  const correct = anton.getByRole('dialog', { name: 'Which folds were made?' });
  await correct.getByLabel('Which block').selectOption({ label: 'B' });
  await correct.getByRole('button', { name: 'A book fold instead' }).click();
  await expect(layers).toContainText('B: had letter fold, letter fold, book fold');
  await expect(layers).toContainText('A: had letter fold, letter fold, letter fold');
  await expect(layers).toContainText(/Block B: .*layers/);
});
