import { expect, type Page, test } from '@playwright/test';
import { TABLET } from '../support/floor';
import { everybodyLeaves, expectAccessible, expectNoSidewaysScroll, signIn } from '../support/people';
import { beginNight, type Night } from '../support/night';

let night: Night;
test.beforeEach(async () => {
  night = await beginNight({ month: true });
});
test.afterEach(async () => {
  await everybodyLeaves();
  await night.end();
});

/** Finishes the hands-on work in hand of a practice night: works until it can be done. */
async function finish(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Work until/ }).click();
  await page.getByRole('button', { name: 'Done' }).click();
}

test('a practice night is worked on the floor’s own cards, and reviewed: what was hidden, what a look would have shown', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Selma', TABLET);
  await page.goto('/batches');
  await page.getByRole('link', { name: 'Practise a night' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Start The clock says ready' }).click();
  await page.waitForURL(/\/practice\/\d+/);
  const clock = page.getByLabel('Clock of the night');
  await expect(clock).toContainText('03:00');

  // It is looked at: a minute each, and the thermometer is recorded.
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  await expect(page.getByText(/03:00: dense, dent springs back/)).toBeVisible();
  await page.getByRole('button', { name: 'Core temperature' }).click();
  await expect(page.getByText(/03:01: core \d/)).toBeVisible();
  await expect(clock).toContainText('03:02');
  await expectAccessible(page);

  // By the clock it is time; the dough is slow.
  for (let i = 0; i < 5; i++) await page.getByRole('button', { name: '+10 min' }).click();
  await page.getByRole('button', { name: 'Start wash' }).click();
  const anyway = page.getByRole('button', { name: 'Start anyway' });
  if (await anyway.isVisible()) await anyway.click();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText(/Wash takes until \d\d:\d\d\./)).toBeVisible();
  await finish(page);

  // A page that is opened anew goes on where the night was.
  await expect(page.getByRole('button', { name: /Start load/ })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /Start load/ }).click();
  await finish(page);
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: '+10 min' }).click();
  await page.getByRole('button', { name: 'Unload' }).click();
  await page.getByRole('button', { name: 'End the night' }).click();

  const happened = page.getByRole('region', { name: 'What happened' });
  await expect(happened).toContainText(/Hidden 03:00 .* rose 2\d % slower than its formula says/);
  await expect(happened).toContainText(/Missed .* too early\. It was ready/);
  await expect(happened).toContainText('A look then: not ready yet.');
  await expect(page.getByRole('region', { name: 'Result' })).toContainText(/Possible: \d+ good/);
  const threads = page.getByRole('region', { name: 'On the thread' });
  await expect(threads.getByRole('img', { name: /really ready/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'All nights' }).click();
  await expect(
    page.getByRole('row', { name: /The clock says ready Selma .* \d+ of \d+ good/ }),
  ).toBeVisible();

  // Somebody else's night is not there to be seen.
  const other = await signIn(browser, 'Anton', { width: 360, height: 740 });
  await other.goto('/practice/1');
  await expect(other).toHaveURL(/\/practice$/);
  await expect(other.getByText('No practice nights yet. Start with a quiet one.')).toBeVisible();
  await expectNoSidewaysScroll(other);
});

test('a planner makes a night; what is typed outlives a refusal and a reload; a batch is played again', async ({
  browser,
}) => {
  const mara = await signIn(browser, 'Mara');
  await mara.goto('/practice');
  await mara.getByRole('link', { name: 'New practice night' }).click();
  await mara.getByLabel('Name', { exact: true }).fill('Sunday heat');
  await mara.getByLabel('Hours', { exact: true }).fill('many');
  await mara.getByRole('button', { name: 'Save night' }).click();
  await expect(mara.getByText('Enter a number here.')).toHaveCount(1);
  await mara.reload();
  await expect(mara.getByLabel('Name', { exact: true })).toHaveValue('Sunday heat');
  await mara.getByLabel('Hours', { exact: true }).fill('40');
  await mara.getByRole('button', { name: 'Save night' }).click();
  await expect(mara.getByText('Enter a value from 1 to 14.')).toHaveCount(1);
  await mara.getByLabel('Hours', { exact: true }).fill('5');
  await mara.getByLabel('Opens at', { exact: true }).fill('half past');
  await mara.getByRole('button', { name: 'Save night' }).click();
  await expect(mara.getByText('Enter a time, such as 03:00.')).toHaveCount(1);
  await mara.getByLabel('Opens at', { exact: true }).fill('03:00');
  await mara.getByLabel('Place at fault').selectOption({ label: 'Proofer' });
  await mara.getByLabel('Warmer by, °C').fill('6,5');
  await expectAccessible(mara);
  await mara.getByRole('button', { name: 'Save night' }).click();
  await mara.waitForURL(/\/practice$/);
  await mara.getByRole('button', { name: 'Start Sunday heat' }).click();
  await mara.waitForURL(/\/practice\/\d+/);
  await expect(mara.getByRole('heading', { name: 'Practice: Sunday heat' })).toBeVisible();

  await mara.goto('/batches?product=butter');
  await mara.getByRole('link', { name: 'Crescent 36' }).click();
  await mara
    .getByRole('region', { name: 'Play it again from' })
    .getByRole('button', { name: /^Proof/ })
    .click();
  await mara.waitForURL(/\/practice\/\d+/);
  await expect(mara.getByRole('heading', { name: 'Practice: Crescent 36' })).toBeVisible();
});

test('a fault is traced to its cause and taken into the product; batches are compared; trends name what has changed', async ({
  browser,
}) => {
  const mara = await signIn(browser, 'Mara');
  await mara.goto('/batches?product=butter');
  await mara.getByRole('link', { name: 'Crescent 35' }).click();
  const crescents = mara.getByRole('region', { name: 'Butter crescent' });
  await crescents.getByRole('button', { name: /^Flat/ }).click();
  const causes = crescents.getByRole('region', { name: 'Likely causes' });
  await expect(causes.getByRole('listitem').first()).toContainText('Next time: ');
  const change = causes.getByRole('button', { name: /^Change the product: / }).first();
  await change.click();
  await expect(causes.getByRole('status')).toContainText(/^Changed in version \d+\./);
  await expectAccessible(mara);

  await mara.getByRole('link', { name: 'Compare with good batches' }).click();
  await expect(mara.getByRole('heading', { name: 'Butter crescent: 4 batches side by side' })).toBeVisible();
  await expect(mara.getByRole('region', { name: 'On one thread' }).getByRole('img')).toHaveCount(4);
  await expect(mara.getByRole('row', { name: /^Dough temperature/ })).toBeVisible();
  await expectAccessible(mara);
  await mara.setViewportSize({ width: 360, height: 740 });
  await expectNoSidewaysScroll(mara);
  await mara.goto('/batches/compare?dough=x');
  await expect(mara.getByText('Select two to six batches in the list')).toBeVisible();

  await mara.goto('/trends');
  await expect(mara.getByRole('region', { name: 'What has changed' })).toContainText('Oven bakes slower');
  await expect(mara.getByRole('region', { name: 'What the bakery has learned' })).toContainText(
    'Butter crescent',
  );
  await expect(mara.getByRole('region', { name: 'By who mixed them' })).toHaveCount(0);
  await expect(mara.getByRole('region', { name: 'Dough temperatures against target' })).toBeVisible();
  await expectNoSidewaysScroll(mara);
  await mara.setViewportSize({ width: 1280, height: 800 });
  await expectAccessible(mara);
  await mara.getByRole('combobox', { name: 'Product' }).selectOption({ label: 'Brioche knot' });
  await mara.getByRole('button', { name: 'Show' }).click();
  await expect(mara.getByText(/^\d+ batches, /)).toBeVisible();
  await mara.goto('/trends?weeks=7');
  await expect(mara.getByLabel('Period')).toHaveValue('4');
});
