import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { beginNight } from '../../e2e/support/night';
import { everybodyLeaves, signIn } from '../../e2e/support/people';
import { setClock } from '../../e2e/support/floor';
import { record } from '../../e2e/support/record';

async function keep(page: Page, name: string): Promise<void> {
  await expect(page.getByText('Laying out the work')).toBeHidden();
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.screenshot({ path: `docs/screenshots/${name}.png`, animations: 'disabled' });
}

const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
];
const GAP = 24;

/** A screen of the floor at a desk's and a tablet's size, by day and by night, on one sheet. */
async function keepAll(page: Page, name: string): Promise<void> {
  const before = page.viewportSize();
  const shots: { width: number; height: number; picture: string }[] = [];
  for (const theme of ['day', 'night'])
    for (const size of SIZES) {
      await page.setViewportSize(size);
      await page.evaluate((chosen) => {
        document.documentElement.dataset.theme = chosen;
      }, theme);
      await page.evaluate(() => document.fonts.ready.then(() => window.scrollTo({ top: 0 })));
      const picture = await page.screenshot({ animations: 'disabled' });
      shots.push({ ...size, picture: picture.toString('base64') });
    }
  await page.evaluate(() => {
    document.documentElement.dataset.theme = 'day';
  });
  await keepSheet(page, name, shots, SIZES);
  if (before) await page.setViewportSize(before);
}

/** Several pictures on one sheet, in two columns of these sizes. */
async function keepSheet(
  page: Page,
  name: string,
  shots: readonly { width: number; height: number; picture: string }[],
  columns: readonly { width: number; height: number }[],
): Promise<void> {
  const sheet = await page.context().newPage();
  const [wide, narrow] = columns.map(({ width }) => width) as [number, number];
  const tall = Math.max(...columns.map(({ height }) => height));
  const rows = Math.ceil(shots.length / 2);
  await sheet.setViewportSize({ width: wide + narrow + 3 * GAP, height: rows * tall + (rows + 1) * GAP });
  const images = shots.map(
    ({ width, height, picture }) =>
      `<img width="${width}" height="${height}" alt="" src="data:image/png;base64,${picture}">`,
  );
  await sheet.setContent(
    `<body style="margin:${GAP}px;display:grid;gap:${GAP}px;grid-template-columns:${wide}px ${narrow}px;background:#999">${images.join('')}</body>`,
  );
  await sheet.screenshot({ path: `docs/screenshots/${name}.png` });
  await sheet.close();
}

test('one current picture of each main view', async ({ browser }) => {
  test.setTimeout(360_000);
  const planner = await signIn(browser, 'Mara');
  await expect(planner.getByRole('button', { name: /^Crescent 39/ })).toBeVisible();
  await planner.getByRole('button', { name: /^Crescent 39/ }).click();
  await keep(planner, 'plan');
  await planner.getByRole('link', { name: 'Open dough' }).click();
  await expect(planner.getByRole('heading', { name: 'Crescent 39', level: 1 })).toBeVisible();
  await keep(planner, 'dough');
  await planner.goto('/orders');
  await expect(planner.getByRole('heading', { name: 'Proposed doughs' })).toBeVisible();
  await keep(planner, 'orders');
  await planner.goto('/products');
  await planner.getByRole('link', { name: 'Poppy danish', exact: true }).click();
  await expect(planner.getByText(/^Starts /)).toBeVisible({ timeout: 60_000 });
  await keep(planner, 'product');
  await planner.goto('/products/recipe');
  const recipe = readFileSync('test-data/recipes/salt-by-the-spoon.txt', 'utf8');
  await planner.getByLabel('Or paste it here').fill(recipe);
  await expect(planner.getByRole('region', { name: 'Questions' })).toBeVisible();
  await keep(planner, 'recipe');

  await planner.goto('/formulas');
  await planner.getByRole('link', { name: 'Levain crescent dough' }).click();
  await expect(planner.getByRole('region', { name: 'Totals' })).toBeVisible();
  await keep(planner, 'formula');
  await planner.goto('/batch/1');
  await expect(planner.getByRole('heading', { name: 'Likely causes' })).toBeVisible();
  await keepAll(planner, 'batch');

  await planner.goto('/lamination');
  await expect(planner.getByRole('region', { name: /at 3\.9 mm/ }).getByRole('status')).toHaveText(
    'open honeycomb',
  );
  await keep(planner, 'lamination');
  await planner.goto('/dough/2/cut');
  await expect(planner.getByRole('row', { name: /^chocolate roll/ })).toBeVisible();
  await keep(planner, 'cut-plan');

  const baker = await signIn(browser, 'Jonas', { width: 1024, height: 768 });
  await expect(baker.getByRole('region', { name: 'Now' })).toBeVisible();
  await keepAll(baker, 'bench');
  await baker.goto('/proof');
  await expect(baker.getByRole('button', { name: /proof butter crescent/ })).toBeVisible();
  await keepAll(baker, 'proof-watch');
  await baker.goto('/handover');
  await expect(baker.getByRole('heading', { name: 'Where things stand' })).toBeVisible();
  await keepAll(baker, 'handover');
  await baker.goto('/rooms');
  const bakery = baker.getByRole('textbox', { name: 'Temperature of bakery' });
  await bakery.fill('28');
  await bakery.press('Enter');
  await expect(baker.getByText(/the plan allows/).first()).toBeVisible();
  await keep(baker, 'rooms');
  for (const key of ['2.1.wash', '2.1.load']) {
    await record(baker, 2, key, 'start');
    await record(baker, 2, key, 'finish');
  }
  await baker.goto('/oven');
  await expect(baker.getByRole('region', { name: 'In the oven' })).toContainText('8 of 9 trays in');
  await baker.getByRole('button', { name: /^is on deck/ }).click();
  await expect(baker.getByRole('button', { name: 'deck 1', pressed: true })).toBeVisible();
  await keepAll(baker, 'oven');

  await baker.setViewportSize({ width: 1920, height: 1080 });
  await baker.goto('/wall');
  await expect(baker.getByRole('region', { name: 'Rising and resting' })).toContainText('Crescent 38');
  await keep(baker, 'wall');
  await keepTroubled(baker);
});

test('what is learned from batches: side by side, over weeks, and by practising', async ({ browser }) => {
  test.setTimeout(240_000);
  const night = await beginNight({ month: true });
  try {
    const planner = await signIn(browser, 'Mara');
    await planner.goto('/batches?product=butter');
    await planner.getByRole('link', { name: 'Crescent 36' }).click();
    await planner.getByRole('link', { name: 'Compare with good batches' }).click();
    await expect(planner.getByRole('region', { name: 'On one thread' }).getByRole('img')).toHaveCount(4);
    await planner.setViewportSize({ width: 1280, height: 1500 });
    await keep(planner, 'compare');
    await planner.goto('/trends');
    await expect(planner.getByRole('region', { name: 'Oven and proofer use' })).toBeVisible();
    await keep(planner, 'trends');
    await keepPractice(await signIn(browser, 'Selma', { width: 1024, height: 768 }));
  } finally {
    await everybodyLeaves();
    await night.end();
  }
});

/** A practice night while it is worked, and its review, on one sheet. */
async function keepPractice(page: Page): Promise<void> {
  const sizes = [
    { width: 1024, height: 768 },
    { width: 1280, height: 1000 },
  ] as const;
  const shots: { width: number; height: number; picture: string }[] = [];
  const take = async (size: { width: number; height: number }) => {
    await page.setViewportSize(size);
    await page.evaluate(() => document.fonts.ready.then(() => window.scrollTo({ top: 0 })));
    const picture = await page.screenshot({ animations: 'disabled' });
    shots.push({ ...size, picture: picture.toString('base64') });
  };
  await page.goto('/practice');
  await page.getByRole('button', { name: 'Start Taking over' }).click();
  await page.waitForURL(/\/practice\/\d+/);
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  await page.getByRole('button', { name: 'Core temperature' }).click();
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  await take(sizes[0]);
  for (let i = 0; i < 7; i++) await page.getByRole('button', { name: '+10 min' }).click();
  for (const step of ['Start wash', 'Start load']) {
    await page.getByRole('button', { name: new RegExp(`^${step}`) }).click();
    const anyway = page.getByRole('button', { name: 'Start anyway' });
    if (await anyway.isVisible()) await anyway.click();
    await page.getByRole('button', { name: /^Work until/ }).click();
    await page.getByRole('button', { name: 'Done' }).click();
  }
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: '+10 min' }).click();
  await page.getByRole('button', { name: 'Unload' }).click();
  await page.getByRole('button', { name: 'End the night' }).click();
  await expect(page.getByRole('region', { name: 'What happened' })).toContainText('Hidden');
  await take(sizes[1]);
  await keepSheet(page, 'practice', shots, sizes);
}

/** What the floor looks like when the night is not as planned: trouble, catching up, a phone, a printed list; on one sheet. */
async function keepTroubled(page: Page): Promise<void> {
  const [tablet, phone] = [
    { width: 1024, height: 768 },
    { width: 360, height: 768 },
  ];
  const shots: { width: number; height: number; picture: string }[] = [];
  const take = async (size: { width: number; height: number }) => {
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    const picture = await page.screenshot({ animations: 'disabled' });
    shots.push({ ...size, picture: picture.toString('base64') });
  };
  await page.setViewportSize(tablet);
  await page.goto('/bench');
  await page.getByRole('button', { name: 'Trouble' }).click();
  await expect(page.getByRole('dialog').getByRole('region', { name: 'Out of order' })).toBeVisible();
  await take(tablet);
  await page.setViewportSize(phone);
  await page.goto('/bench');
  await expect(page.getByRole('region', { name: 'Now' })).toBeVisible();
  await take(phone);
  await page.setViewportSize(tablet);
  await page.goto('/bench');
  await setClock(page, '09:20');
  await page.getByRole('button', { name: 'Catch up' }).click();
  await expect(page.getByRole('dialog').getByRole('button', { name: /^Record \d+ steps$/ })).toBeVisible();
  await take(tablet);
  await page.setViewportSize(phone);
  await page.goto('/papers/production');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await take(phone);
  await keepSheet(page, 'trouble', shots, [tablet, phone]);
}
