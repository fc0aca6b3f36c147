import { expect, test, type Page } from '@playwright/test';
import { alertOf, everybodyLeaves, expectAccessible, expectNoSidewaysScroll, signIn } from './support/people';
import { openSheet } from './support/sheets';

test.afterEach(everybodyLeaves);

/** Types into whatever has the focus, as a person without a mouse does. */
async function type(page: Page, ...keys: string[]): Promise<void> {
  for (const key of keys) {
    if (key === 'Enter' || key === 'Tab' || key.includes('+')) await page.keyboard.press(key);
    else await page.keyboard.type(key);
  }
}

const LEVAIN_CROISSANT: [stage: string, rows: [name: string, amount: string][]][] = [
  [
    'levain:',
    [
      ['starter', '40 g'],
      ['flour', '100 g'],
      ['water', '100 g'],
    ],
  ],
  [
    'dough:',
    [
      ['flour', '880 g'],
      ['water', '1 cup (250 g)'],
      ['milk', '19 %'],
      ['sugar', '1/2 cup'],
      ['salt', '2 %'],
      ['egg', '1 egg'],
    ],
  ],
  ['roll-in:', [['butter', '470 g']]],
];

test('a levain croissant formula is entered by keyboard alone, scaled over two bowls, kept, changed and compared', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/formulas');
  await expect(page.getByRole('heading', { name: 'Formulas' })).toBeVisible();
  // Keys are listened to once the page has come to life.
  await expect(async () => {
    await page.keyboard.press('n');
    await expect(page.getByRole('textbox', { name: 'Name' })).toBeFocused({ timeout: 3000 });
  }).toPass();
  await type(page, 'House levain croissant', 'Enter');
  for (const [stage, rows] of LEVAIN_CROISSANT) {
    await type(page, stage, 'Enter');
    for (const [name, amount] of rows) await type(page, name, 'Enter', amount, 'Enter');
  }
  const totals = page.getByRole('region', { name: 'Totals' });
  await expect(totals).toContainText('Prefermented flour12.0 %');
  await expect(totals).toContainText('gluten from ripe levain, wheat flour');
  await expect(totals).toContainText('egg from egg');

  const scaling = page.getByRole('region', { name: 'Scaling' });
  await scaling.getByRole('textbox', { name: 'Pieces' }).fill('1000');
  await scaling.getByRole('textbox', { name: 'Bowl holds' }).fill('40 kg');
  await expect(scaling).toContainText('2 bowls');
  await expect(scaling).toContainText('Rounding changed the dough by');

  await page.getByRole('textbox', { name: 'Remark, dough line 1' }).focus();
  await page.keyboard.press('Control+s');
  await page.waitForURL(/\/formulas\/\d+$/);
  const versions = page.getByRole('region', { name: 'Versions' });
  await expect(versions).toContainText('version 1');

  const milk = page.getByRole('textbox', { name: 'How much, dough line 3' });
  await milk.fill('22 %');
  await page.getByRole('textbox', { name: 'What changed' }).fill('more milk');
  await page.getByRole('button', { name: /Save version 2/ }).click();
  await expect(versions).toContainText('more milk');
  await expect(versions.getByRole('row', { name: /^milk dough/ })).toContainText('+3.00');
  await expectAccessible(page);
});

test('what is wrong with a formula is said beside the row, and nothing typed is lost', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/formulas/new');
  const amount = (nth: number) => page.getByRole('textbox', { name: `How much, dough line ${nth}` });
  await page.getByRole('textbox', { name: 'Name' }).fill('Trial');
  await page.getByRole('combobox', { name: 'Ingredient, dough line 1' }).fill('flour');
  await amount(1).fill('70');
  await expect(page.getByText(/All flours must add up to 100 %.*here they are 70 %/)).toBeVisible();
  await page.getByRole('button', { name: /Save version 1/ }).click();
  await expect(alertOf(page).filter({ hasText: 'All flours must add up' }).first()).toBeVisible();
  await amount(1).fill('1000000 %');
  await expect(page.getByText(/is too much/)).toBeVisible();
  await amount(1).fill('1,5 kg');
  await expect(page.getByRole('region', { name: 'dough' })).toContainText('1.500 kg');
  await amount(1).press('Enter');
  await page.getByRole('combobox', { name: 'Ingredient, dough line 2' }).fill('salt');
  await amount(2).fill('20 %');
  await expect(page.getByText(/Salt 20 % is high/)).toBeVisible();
  await amount(2).fill('120 g (1 tbsp)');
  await expect(page.getByText(/The two values disagree/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('Crescent dough');
  await page.getByRole('button', { name: /Save version 1/ }).click();
  await expect(page.getByText('There is already a formula called Crescent dough.')).toBeVisible();
  await expect(amount(2)).toHaveValue('120 g (1 tbsp)');

  await page.goto('/formulas/ingredients');
  await page.getByRole('button', { name: 'milk', exact: true }).click();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(alertOf(page)).toContainText(/It is used in .*. Remove it there first/);
  await page.getByRole('textbox', { name: 'Water, %' }).fill('140');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(alertOf(page)).toContainText('Enter 0 to 100 %');
  await expectAccessible(page);
});

test('a formula goes out as a file and comes back by way of the preview, faults by line', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/formulas');
  const link = await page.getByRole('link', { name: 'Danish dough' }).getAttribute('href');
  const id = link?.split('/').at(-1) ?? '';
  for (const as of ['json', 'csv', 'recipe']) {
    const text = await (await page.request.get(`/api/formulas/${id}?as=${as}`)).text();
    await page.goto('/formulas/new');
    await openSheet(page, page.getByRole('button', { name: 'Import' }));
    await page.getByRole('textbox', { name: 'Or paste it here' }).fill(text);
    await page.getByRole('button', { name: 'Import 8 rows' }).click();
    await expect(page.getByRole('region', { name: 'Totals' })).toContainText('Roll-in of the dough31.0 %');
    await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Danish dough');
  }
  await openSheet(page, page.getByRole('button', { name: 'Import' }));
  await page
    .getByRole('textbox', { name: 'Or paste it here' })
    .fill('stage,ingredient,amount\ndough,flour,100 %\nbatter,water,60 %\n');
  await expect(page.getByRole('alert', { name: 'Faults' })).toContainText('Line 3: “batter” is not a stage');
});

test('on a 30 °C day a dough is mixed with ice and 400 g of flour held back, and its real formula is kept', async ({
  browser,
}) => {
  const planner = await signIn(browser, 'Mara');
  await planner.getByRole('button', { name: /^Chocolate roll 21/ }).click();
  const dough = await planner.getByRole('link', { name: 'Open dough' }).getAttribute('href');

  const page = await signIn(browser, 'Piet', { width: 1024, height: 768 });
  await page.goto(`${dough ?? ''}/sheet`);
  await expect(page.getByRole('heading', { name: 'Chocolate roll 21' })).toBeVisible();
  const water = page.getByRole('region', { name: 'Water' });
  await water.getByRole('textbox', { name: 'Flour', exact: true }).fill('86F');
  await water.getByRole('textbox', { name: 'Room', exact: true }).fill('30');
  await water.getByRole('textbox', { name: 'Tap water' }).fill('18');
  await expect(water).toContainText(/g of ice/);
  await expect(water).toContainText('By the factor rule it would be');
  await expect(water).toContainText(/from 8 mixes/);
  await water.getByRole('button', { name: 'Use this water' }).click();
  await expect(water.getByRole('button', { name: 'Use this water again' })).toBeVisible();

  await page.getByRole('button', { name: 'wheat flour weighed, bowl 1' }).click();
  await expect(page.getByText(/1 of \d+ weighed/)).toBeVisible();
  await page.getByRole('button', { name: /^milk/ }).first().click();
  await page.getByRole('combobox', { name: 'Used instead' }).selectOption({ label: 'soya drink' });
  const really = page.getByRole('region', { name: 'Actual amounts' });
  await expect(really).toContainText('soya drink for milk');
  await expect(alertOf(really)).toContainText('Now also contains soya');
  await really.getByRole('textbox', { name: 'How much' }).fill('400 g');
  await really.getByRole('button', { name: 'Held back' }).click();
  await expect(really).toContainText('400 g wheat flour held back');

  const after = water.getByRole('textbox', { name: 'Dough after mixing, °C' });
  await after.fill('75');
  await water.getByRole('button', { name: 'Record' }).click();
  await expect(alertOf(page).first()).toContainText('75 °F is 23.9 °C');
  await page.getByRole('button', { name: 'OK' }).click();
  await after.fill('75 F');
  await water.getByRole('button', { name: 'Record' }).click();
  await expect(water).toContainText('measured 23.9 °C');
  await expect(water).toContainText(/from 9 mixes/);
  await expectAccessible(page);

  await really.getByRole('button', { name: 'Save as new version' }).click();
  await expect(page.getByText('Version 2 of Crescent dough saved.')).toBeVisible();
  await planner.goto('/formulas');
  await planner.getByRole('link', { name: 'Crescent dough', exact: true }).click();
  await expect(planner.getByRole('region', { name: 'Versions' })).toContainText(
    '400 g wheat flour held back',
  );
  // On paper the water and ice stand beside the weights, without what only a finger needs.
  await page.emulateMedia({ media: 'print' });
  await expect(water).toBeVisible();
  await expect(water.getByRole('button')).toHaveCount(0);
});

test('the workbench says how long a piece chills, and what the freezer does to the butter at its edge', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Selma');
  await page.goto('/workbench');
  await page.getByRole('tab', { name: 'Chill and warm' }).click();
  const chill = page.getByRole('tabpanel');
  await expect(chill.getByRole('status')).toContainText(/Core at 6 °C in \d/);
  await chill.getByRole('combobox', { name: 'Piece' }).selectOption({ label: 'laminated block' });
  await chill.getByRole('combobox', { name: 'Goes into' }).selectOption({ label: 'Freezer' });
  await expect(chill.getByRole('status')).toContainText(/the butter at the edges will crack/);
  await chill.getByRole('textbox', { name: 'Thickness' }).fill('1 in');
  await expect(chill.getByRole('status')).toContainText(/Core at 6 °C in/);
  await chill.getByRole('textbox', { name: 'Starts at' }).fill('cold');
  await expect(chill.getByText('Enter a temperature, such as 24 °C or 75 °F.')).toBeVisible();
  await chill.getByRole('textbox', { name: 'Starts at' }).fill('12');
  await expectAccessible(page);

  await page.getByRole('tab', { name: 'Proof' }).click();
  await expect(page.getByRole('tabpanel')).toContainText(/from 9 judged batches/);
  await expect(page.getByRole('row', { name: /^Warm, in the proofer/ })).toContainText(/2 h/);
  await expectAccessible(page);
  await page.getByRole('tab', { name: 'Levain' }).click();
  await expect(page.getByRole('tabpanel')).toContainText(/Feed it/);
  await page.getByRole('tab', { name: 'Amounts' }).click();
  await expect(page.getByRole('tabpanel')).toContainText('106.3 g');
  await page.setViewportSize({ width: 360, height: 740 });
  await expectNoSidewaysScroll(page);
});

test('a proof that is not yet ready is judged so, and its time moves', async ({ browser }) => {
  const page = await signIn(browser, 'Jonas', { width: 1024, height: 768 });
  await page.getByRole('button', { name: /^Crescent 38\s*proof chocolate roll/ }).click();
  const card = page.getByRole('article');
  await expect(card.getByRole('heading', { name: 'Proof chocolate roll' })).toBeVisible();
  const best = async () => (await card.getByText(/^ready/).textContent()) ?? '';
  const before = await best();
  await card.getByRole('button', { name: /Overproofed/ }).click();
  await expect(card).toContainText(/judged 04:1\d: overproofed/);
  await expect.poll(best).not.toBe(before);
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(best).toBe(before);
});

test('a levain that is not ripe is looked at again later', async ({ browser }) => {
  const page = await signIn(browser, 'Jonas', { width: 1024, height: 768 });
  await page
    .getByRole('region', { name: 'Next' })
    .getByRole('button', { name: /^\d\d:\d\d.*Feed levain/ })
    .click();
  await page.getByRole('button', { name: 'Start feed levain' }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.getByRole('button', { name: /^Levain 3\s*levain ripens/ }).click();
  await page.getByRole('button', { name: 'Is it active?' }).click();
  const sheet = page.getByRole('dialog', { name: 'Is the levain active?' });
  await sheet.getByRole('button', { name: 'hardly moved' }).click();
  await sheet.getByRole('button', { name: '60 min' }).click();
  const card = page.getByRole('article');
  await expect(card).toContainText('hardly moved, not ready, check again in 1 h');
  await expect(card).toContainText(/check again 05:1\d/);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(card).not.toContainText('hardly moved');
});

test('a hot morning moves the waits, and the plan follows when it is told to', async ({ browser }) => {
  const page = await signIn(browser, 'Jonas');
  await page.goto('/rooms');
  const moves = page.getByRole('region', { name: 'Waits that no longer fit' });
  const tell = async (place: string, celsius: string) => {
    const row = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: place }) });
    await row.getByRole('textbox', { name: `Temperature of ${place.toLowerCase()}` }).fill(celsius);
    await row.getByRole('button', { name: 'Record' }).click();
    return row;
  };
  const broken = await tell('Retarder', '85');
  await expect(alertOf(broken)).toContainText('impossible for retarder');
  const bakery = await tell('Bakery', '90 F');
  await expect(bakery).toContainText('32.2 °C');
  await expect(bakery).toContainText('entered by Jonas');
  await expect(moves).toContainText(/now takes .*; the plan allows/);
  await expectAccessible(page);
  const name = (await moves.getByRole('heading', { level: 3 }).first().textContent()) ?? '';
  const dough = moves.getByRole('listitem').filter({ hasText: name });
  await dough.getByRole('button', { name: 'Update the plan' }).click();
  await expect(dough).toHaveCount(0);
  await tell('Bakery', '21.8');
  await expect(page.getByText('21.8 °C')).toBeVisible();
  await page.setViewportSize({ width: 360, height: 740 });
  await expectNoSidewaysScroll(page);
});
