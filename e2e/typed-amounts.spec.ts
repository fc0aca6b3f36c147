import { expect, test, type Page } from '@playwright/test';
import { METRIC, readInches } from './support/inches';
import { everybodyLeaves, expectAccessible, signIn } from './support/people';

test.afterEach(everybodyLeaves);

// While a page comes in parts, its fields are there twice for a moment, once hidden.
const cell = (page: Page, field: string, line: number) =>
  page.getByLabel(`${field}, dough line ${line}`).filter({ visible: true });
async function row(page: Page, line: number, name: string, amount: string): Promise<void> {
  if (line > 1) await cell(page, 'How much', line - 1).press('Enter');
  await cell(page, 'Ingredient', line).fill(name);
  await cell(page, 'How much', line).fill(amount);
}

const ROWS: [name: string, amount: string][] = [
  ['all-purpose flour', '3 1/2 to 4 cups'],
  ['sugar', 'half a cup'],
  ['butter', '2 sticks + 2 tbsp, soft'],
  ['egg', '1 large egg plus 1 yolk'],
  ['milk', '1 cup'],
  ['salt', '1 tsp'],
];

test('a formula typed in cups, sums, ranges and eggs asks about what it does not know and comes back as it was typed', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/formulas/new');
  await page.getByRole('combobox', { name: 'Cups and spoons' }).selectOption('us');
  await page.getByRole('textbox', { name: 'Name' }).fill('Sunday bun');
  for (const [i, [name, amount]] of ROWS.entries()) await row(page, i + 1, name, amount);
  const stage = page.getByRole('region', { name: 'dough' });
  await expect(stage.getByRole('row', { name: /all-purpose/ })).toContainText('to 502 g');

  // A bare number among weights is asked about, and so is yeast of no kind.
  const last = ROWS.length + 1;
  await row(page, last, 'yeast', '1 package');
  const totals = page.getByRole('region', { name: 'Totals' });
  await expect(totals.getByRole('status')).toHaveText('Incomplete: yeast unknown.');
  await page.getByRole('button', { name: 'active dry yeast' }).click();
  await expect(totals.getByRole('status')).toHaveCount(0);
  await cell(page, 'How much', 5).fill('250');
  await expect(page.getByText('250 of what? Add the unit: 250 g or 250 %.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Your unsaved changes are back.')).toBeVisible();
  await cell(page, 'How much', 5).fill('1 cup');
  await expectAccessible(page);

  await page.getByRole('button', { name: /Save version 1/ }).click();
  await page.waitForURL(/\/formulas\/\d+$/);
  for (const [i, [, amount]] of ROWS.entries())
    await expect(cell(page, 'How much', i + 1)).toHaveValue(amount);
  await expect(page.getByText('Your unsaved changes are back.')).toHaveCount(0);
});

test('a tablet of °F and inches begins every field in these, and answers in them', async ({ browser }) => {
  const page = await signIn(browser, 'Mara');
  await readInches(page);
  for (const [path, fields] of [
    ['/workbench', ['Target dough temperature', 'Room', 'Tap water', 'Rise by mixing']],
    ['/lamination', ['block thickness', 'butter length', 'dough width', 'final sheet']],
  ] as const) {
    await page.goto(path);
    for (const label of fields) {
      const field = page.getByRole('textbox', { name: label, exact: true }).first();
      await expect(field).toHaveValue(/\d (?:°F|in|oz)$/);
    }
  }
  await page.goto('/formulas');
  await page.getByRole('link', { name: 'Crescent dough', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Dough temperature' })).toHaveValue(/°F$/);
  await page.goto('/workbench');
  await expect(page.getByRole('textbox', { name: 'Target dough temperature' })).toHaveValue(/°F$/);
  await expect(page.getByRole('main')).not.toContainText(METRIC);
  // What is typed without a unit is in the reader's: a dough at 75 °F is mixed with water, not with ice.
  await page.getByRole('textbox', { name: 'Target dough temperature' }).fill('75');
  await expect(page.getByRole('main')).toContainText('for a dough at 75 °F');
});
