import { expect, test, type Browser, type Page } from '@playwright/test';
import { nextCrescent } from './support/doughs';
import { METRIC, readInches } from './support/inches';
import { alertOf, everybodyLeaves, expectAccessible, expectNoSidewaysScroll, signIn } from './support/people';
import { record } from './support/record';

test.afterEach(everybodyLeaves);

const verdict = (page: Page) => page.getByRole('region', { name: /at 3\.9 mm/ }).getByRole('status');

test('a scheme is composed, its verdict changes with a turn, it is kept, given to a product and followed by a dough', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/lamination');
  await expect(verdict(page)).toHaveText('open honeycomb');
  const section = page.getByRole('region', { name: /at 3\.9 mm/ });
  await expect(section).toContainText('fat layers27');
  await expect(section).toContainText('with another letter fold: 81 fat layers');

  await expect(async () => {
    await page.getByRole('button', { name: 'Add a turn' }).click();
    await expect(verdict(page)).toHaveText('fine, brioche-like', { timeout: 3000 });
  }).toPass();
  await expect(section).toContainText('fat layers81');
  await page.getByRole('textbox', { name: 'Sheet of turn 4' }).fill('thin');
  await expect(alertOf(page)).toContainText('Turn 4: enter the sheet’s thickness');
  await page.getByRole('button', { name: 'Remove turn 4' }).click();
  await page.getByRole('combobox', { name: 'Fold of turn 1' }).selectOption('book');
  await page.getByRole('button', { name: 'Remove turn 3' }).click();
  await expect(section).toContainText('fat layers12');
  await expectAccessible(page);

  await page.getByRole('textbox', { name: 'name of the scheme' }).fill('Book and letter, warm days');
  await page.getByRole('button', { name: 'Save as a new scheme' }).click();
  const kept = page.getByRole('button', { name: 'Book and letter, warm days' });
  await expect(kept).toBeVisible();

  // What is in use stays.
  await page.getByRole('button', { name: 'Remove “Three letter folds”' }).click();
  await expect(alertOf(page)).toContainText(/Three letter folds is in use: .*are laminated with it/);

  await kept.click();
  await page.getByText('Use “Book and letter, warm days” for products').click();
  await page.getByRole('checkbox', { name: /^Levain crescent/ }).check();
  await page.getByRole('button', { name: 'Use it for this product' }).click();
  const follow = page.getByRole('button', { name: /^Update Levain \d+$/ });
  await expect(follow).toBeVisible();
  const name = ((await follow.textContent()) ?? '').replace(/^Update /, '');
  await follow.click();
  await expect(page.getByText('Planned with an older scheme')).toBeHidden();

  // Its second turn is now this scheme's second, and there is no third.
  await page.goto('/plan');
  await page
    .getByRole('link', { name: new RegExp(name) })
    .or(page.getByText(name, { exact: true }))
    .first()
    .click();
  const link = page.getByRole('link', { name: /Open|page|Steps/ }).first();
  if (await link.isVisible().catch(() => false)) await link.click();
  await expect(page.getByText('Turn 2').first()).toBeVisible();
  await expect(page.getByText('Turn 3')).toHaveCount(0);
});

test('a butter block that does not fit is told before it is on the dough, with what to do', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/lamination');
  const fit = page.getByRole('region', { name: 'Does the actual block fit?' });
  await expect(fit.getByRole('status')).toContainText('It fits');
  const type = async (label: string, text: string) => fit.getByRole('textbox', { name: label }).fill(text);
  await expect(async () => {
    await type('butter length', '21.5');
    await type('butter width', '21.5');
    await type('dough length', '30');
    await type('dough width', '30');
    await expect(fit.getByRole('status')).toContainText('1.9 cm too short and 1.9 cm too narrow', {
      timeout: 3000,
    });
  }).toPass();
  await expect(fit.getByRole('status')).toContainText('Roll it to 31.9 × 31.9 cm');
  await expect(fit.getByRole('status')).toContainText('Or trim the butter to');
  await type('butter length', '9 1/2 in');
  await expect(fit.getByRole('status')).toContainText(/too short|too narrow/);
  await type('butter thickness', '400 mm');
  await expect(alertOf(fit)).toContainText('thicker than long');

  const butter = page.getByRole('textbox', { name: 'butter', exact: true });
  await butter.fill('0 g');
  await expect(alertOf(page)).toContainText('How much butter?');
  await butter.fill('2.4 kg');
  await page.getByRole('textbox', { name: 'dough before butter' }).fill('0');
  await expect(alertOf(page).first()).toBeVisible();
  await page.getByRole('textbox', { name: 'dough before butter' }).fill('7.8 kg');
  await page.getByRole('textbox', { name: 'final sheet' }).fill('0.2 mm');
  await expect(alertOf(page)).toContainText('A sheet of 0.2 mm is thinner than the smallest gap');
});

test('three turns by two bakers across a shift change, one of them a double: the count is never in doubt', async ({
  browser,
}) => {
  const early = await signIn(browser, 'Selma', { width: 1024, height: 768 });
  const [doughId, name] = await nextCrescent(early);
  for (const key of ['butter', 'butter-out', 'lock-in']) {
    await record(early, doughId, key, 'start');
    await record(early, doughId, key, 'finish');
  }
  await early.goto('/bench');
  await pickTurn1(early, name);
  const now = early.getByRole('region', { name: 'Now' });
  await expect(now.getByRole('heading', { name: 'Turn 1 of 3' })).toBeVisible();
  await now.getByRole('button', { name: 'Start turn 1' }).click();
  const blocks = now.getByRole('list', { name: 'Blocks' });
  await expect(blocks).toContainText('Block A: 0 folds, in hand');
  await now.getByRole('button', { name: 'Block A done' }).click();
  await expect(blocks).toContainText('Block A: 1 fold');
  await expect(blocks).toContainText('Block B: 0 folds, in hand');

  // The shift changes between two blocks: the next baker sees which one is in hand.
  const late = await signIn(browser, 'Anton', { width: 1024, height: 768 });
  await late.goto('/bench');
  await pickTurn1(late, name);
  const his = late.getByRole('region', { name: 'Now' });
  await expect(his.getByRole('list', { name: 'Blocks' })).toContainText('Block B: 0 folds, in hand');
  await expectAccessible(late);
  await expectNoSidewaysScroll(late);
  await inInches(browser, doughId, name);
  // However many blocks its pieces need, he goes on to the last one.
  const inHand = his.getByRole('button', { name: /^Block [B-F] done$/ });
  await expect(async () => {
    if (await inHand.isVisible()) await inHand.click();
    await expect(his.getByRole('heading', { name: 'Turn 1 of 3' })).toBeHidden({ timeout: 2_000 });
  }).toPass();
  await expect(async () => record(late, doughId, 'turn-2', 'start')).toPass();
  await late.goto('/bench');
  // What else he has in hand may stand first.
  const turn2 = his.getByRole('heading', { name: 'Turn 2 of 3' });
  await turn2
    .or(late.getByRole('button', { name: `Turn 2, ${name}` }))
    .first()
    .click();
  await expect(turn2).toBeVisible();
  // Both turns in one go, block by block.
  const otherwise = his.getByRole('button', { name: 'Folded differently' });
  await expect(async () => {
    if (await turn2.isVisible()) {
      await otherwise.click();
      // The page is left only once the house has answered.
      const answered = late.waitForResponse('**/api/commands/*');
      await late.getByRole('button', { name: 'turns 2 and 3 in one go' }).click();
      await answered;
    }
    await expect(turn2).toBeHidden({ timeout: 1_000 });
  }).toPass();

  await late.goto(`/dough/${doughId}`);
  const layers = late.getByRole('region', { name: 'Layers' });
  await expect(layers).toContainText('turn 3 of 3 done');
  await expect(layers).toContainText('A: had letter fold, letter fold, letter fold');
  await expect(layers).toContainText('B: had letter fold, letter fold, letter fold');
  await expect(layers).toContainText('27 fat layers');

  // One too many, told afterwards: layers and advice follow what was done.
  await layers.getByRole('button', { name: 'Turn 1 was folded differently' }).click();
  await late.getByRole('button', { name: 'one fold too many: a letter fold, then a half fold' }).click();
  await expect(layers).toContainText('54 fat layers');
  await expect(layers).toContainText('1 more than planned');
  await layers.getByRole('button', { name: 'Turn 1 was folded differently' }).click();
  await late.getByRole('button', { name: 'a letter fold, as planned' }).click();
  await expect(layers).toContainText('27 fat layers');

  // The rest after it is pressed: it springs back, and is looked at again later.
  await late.goto('/bench');
  await late
    .getByRole('button', { name: new RegExp(`${name}.*(rest 3|turn 3 of 3 done)`, 'is') })
    .first()
    .click();
  await expect(his).toContainText(/Core about [\d.]+ °C/);
  await his.getByRole('button', { name: /^Springs back/ }).click();
  await expect(his).toContainText('springs back, again in 15 min');
});

/** Takes a dough's first turn in hand, unless it is there already: locked in, a dough goes straight on. */
async function pickTurn1(page: Page, name: string): Promise<void> {
  await page
    .getByRole('button', { name: new RegExp(`Turn 1.*${name}|${name}.*Turn 1`, 's') })
    .or(page.getByRole('heading', { name: 'Turn 1 of 3' }))
    .first()
    .click();
  await expect(page.getByRole('region', { name: 'Now' })).toContainText(name);
}

/** Turn and cut of a dough on a third tablet, which reads inches. */
async function inInches(browser: Browser, doughId: number, name: string): Promise<void> {
  const page = await signIn(browser, 'Piet', { width: 1024, height: 768 });
  await readInches(page);
  await page.goto('/bench');
  await pickTurn1(page, name);
  const now = page.getByRole('region', { name: 'Now' });
  await expect(now.getByRole('list', { name: 'Gaps of the sheeter' })).toContainText(/\d in/);
  await expect(now).not.toContainText(METRIC);
  await page.goto(`/dough/${doughId}/cut`);
  await expect(page.getByRole('textbox', { name: 'sheet length' })).toHaveValue(/ in$/);
  const answers = page.getByRole('group', { name: 'What the sheet gives' });
  await expect(answers).toContainText('on weight');
  await expect(answers).not.toContainText('short');
  await expect(page.getByRole('main')).not.toContainText(METRIC);
  await page.getByRole('textbox', { name: 'sheet thickness' }).fill('1/4 in');
  await expect(answers).toContainText(/oz too heavy: roll it to [\d./ ]+ in/);
}
