import { expect, test, type Page } from '@playwright/test';
import { alertOf, everybodyLeaves, expectAccessible, expectNoSidewaysScroll, signIn } from './support/people';
import { record } from './support/record';

test.afterEach(everybodyLeaves);

test('a sheet is cut for crescents and chocolate rolls together, drawn with ruler marks, and goes out as a file', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/cutting');
  const answers = page.getByRole('group', { name: 'What the sheet gives' });
  await expect(answers.getByRole('row', { name: /^crescents/ })).toContainText('58');
  await expect(async () => {
    await page.getByRole('button', { name: 'Another shape from this sheet' }).click();
    await expect(page.getByRole('group', { name: 'Piece 2' })).toBeVisible({ timeout: 3000 });
  }).toPass();
  const [crescents, rolls] = [1, 2].map((nth) => page.getByRole('group', { name: `Piece ${nth}` }));
  await crescents?.getByRole('textbox', { name: 'pieces per sheet' }).fill('36');
  await rolls?.getByRole('textbox', { name: 'Product' }).fill('chocolate rolls');
  await rolls?.getByRole('textbox', { name: 'target weight' }).fill('50 g');
  await rolls?.getByRole('textbox', { name: 'per tray' }).fill('12');
  await expect(answers.getByRole('row', { name: /^crescents/ })).toContainText('36');
  const roll = answers.getByRole('row', { name: /^chocolate rolls/ });
  await expect(roll).toContainText('50.1 gon weight');
  await expect(answers).toContainText(/Trimmings [\d.]+ %/);
  await expect(page.getByRole('img', { name: /A sheet of 160 by 58 with \d+ pieces/ })).toBeVisible();
  await expectAccessible(page);

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'SVG, true size' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('cut-plan.svg');

  // What cannot be cut is said in a sentence.
  const base = crescents?.getByRole('textbox', { name: 'base' });
  await base?.fill('90 cm');
  await crescents?.getByRole('textbox', { name: 'height' }).fill('170 cm');
  await expect(alertOf(page)).toContainText('No triangles of crescents fit on this sheet');
  await base?.fill('4 1/8 in');
  await crescents?.getByRole('textbox', { name: 'height' }).fill('10 1/4 in');
  await expect(alertOf(page)).toHaveCount(0);
  await crescents?.getByRole('textbox', { name: 'target weight' }).fill('900 g');
  await expect(answers).toContainText('Change its size.');
  await crescents?.getByRole('combobox', { name: 'shape' }).selectOption('sector');
  await crescents?.getByRole('textbox', { name: 'sectors' }).fill('0');
  await expect(alertOf(page)).toContainText('A disc is cut into 1 to 64 sectors.');
  await page.getByRole('textbox', { name: 'sheet thickness' }).fill('0.2 mm');
  await expect(alertOf(page).last()).toContainText('cannot be rolled');
});

test('the cut plan of a dough prints on one page of A4, in black and white, without what is typed', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/dough/2/cut');
  await expect(page.getByRole('heading', { name: /Cut plan of Crescent \d+/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^butter crescent/ })).toContainText(/\d+ per sheet/);
  await expectAccessible(page);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('textbox', { name: 'sheet length' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Views' })).toBeHidden();
  await expect(page.getByRole('img', { name: /pieces$/ })).toBeVisible();
  const paper = await page.pdf({ format: 'A4' });
  expect(paper.toString('latin1').match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
});

test('buns are divided by weight, with a tally that says where it goes wrong', async ({ browser }) => {
  const page = await signIn(browser, 'Piet', { width: 1024, height: 768 });
  const id = await brioche(page);
  await page.goto(`/dough/${id}`);
  const name = (await page.getByRole('heading', { level: 1 }).textContent()) ?? '';
  for (const key of ['sponge', 'mix', 'degas']) {
    await record(page, id, key, 'start');
    await record(page, id, key, 'finish');
  }
  await record(page, id, 'divide', 'start');
  await page.goto('/bench');
  const now = page.getByRole('region', { name: 'Now' });
  await expect(now.getByRole('heading', { name: 'Divide, weigh, round' })).toBeVisible();
  await expect(now).toContainText(name);
  await expect(now).toContainText('0 of 48 weighed');
  const weigh = async (pieces: string, grams: string) => {
    await now.getByRole('textbox', { name: 'pieces' }).fill(pieces);
    await now.getByRole('textbox', { name: 'weigh together' }).fill(grams);
    await now.getByRole('button', { name: 'Weigh in' }).click();
  };
  await weigh('10', '602 g');
  await expect(now).toContainText('10 of 48 weighed');
  await expect(now.getByRole('status')).toContainText('In tolerance.');
  await weigh('1', '71 g');
  await expect(now.getByRole('status')).toContainText('1 out of tolerance.');
  await expect(now.getByRole('status')).toContainText(/too heavy/);
  await weigh('none', '60 g');
  await expect(alertOf(now)).toContainText('How many pieces');
  await expectAccessible(page);
  await expectNoSidewaysScroll(page);
});

/** A brioche dough that nobody has begun, of knots alone. */
async function brioche(page: Page): Promise<number> {
  for (let id = 1; id < 20; id++) {
    await page.goto(`/dough/${id}`);
    const main = page.getByRole('main');
    const text = (await main.textContent()) ?? '';
    if (/^Brioche \d+48 brioche knots?/.test(text.replace(/\s+/g, ' ')) || /48 brioche knots?,/.test(text))
      return id;
  }
  throw new Error('No dough of 48 brioche knots is planned.');
}

test('fillings of the days are added up, and every shape is drawn', async ({ browser }) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/fillings');
  await expect(page.getByText('poppy filling').first()).toBeVisible();
  for (const shape of ['crescent', 'roll with two sticks', 'snail', 'pinwheel', 'pocket', 'braid and roll']) {
    await expect(
      page.getByRole('region', { name: shape, exact: true }).getByRole('img').first(),
    ).toBeVisible();
  }
  await expectAccessible(page);
});

test('trimmings are told with what becomes of them, and offered to the next dough with age and allergens', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/dough/2');
  const trimmings = page.getByRole('region', { name: 'Trimmings' });
  await trimmings.getByRole('button', { name: 'Record trimmings' }).click();
  const sheet = page.getByRole('dialog', { name: 'Trimmings' });
  await sheet.getByRole('button', { name: /^into the next dough/ }).click();
  await expect(alertOf(sheet)).toContainText('Enter a weight');
  await sheet.getByRole('textbox', { name: 'weight' }).fill('640 g');
  await sheet.getByRole('button', { name: /^into the next dough/ }).click();
  await expect(trimmings).toContainText('640 g weighed: into the next dough');
  await expect(trimmings).toContainText('Yield:');

  await page.goto('/dough/8/sheet');
  const offers = page.getByRole('region', { name: 'Trimmings to use' });
  await expect(offers).toContainText(/Crescent \d+: 640 g, 0 h old, with gluten, milk/);
  await offers.getByRole('button', { name: /^Use / }).click();
  await expect(offers).toContainText('640 g already in');
});
