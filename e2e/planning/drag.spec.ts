import { expect, test, type Page } from '@playwright/test';
import { alertOf, expectAccessible, signIn } from '../support/people';
import { openSheet } from '../support/sheets';

/** The row of a dough in the plan. */
const row = (page: Page, dough: string) =>
  page.getByRole('region', { name: 'Threads' }).getByRole('button', { name: new RegExp(`^${dough},`) });

async function openPlan(page: Page): Promise<void> {
  await page.goto('/plan');
  await openSheet(page, '?');
  await page.keyboard.press('Escape');
}

const done = (page: Page, command: string) =>
  page.waitForResponse((response) => response.url().endsWith(`/api/commands/${command}`));

test('a step is taken in the hand by keys, shown with what moves, kept, undone and done again', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await openPlan(page);
  await row(page, 'Brioche 29').click();
  await page.keyboard.press('m');
  const card = page.getByRole('status').filter({ hasText: 'Escape to cancel' });
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(card).toContainText(/3\d min later/);
  await expect(card).toContainText(/moves?/);
  await page.keyboard.press('Escape');
  await expect(card).toHaveCount(0);

  await page.keyboard.press('m');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(card).toContainText(/(2\d|3\d) min later/);
  const kept = done(page, 'move-step');
  await page.keyboard.press('Enter');
  expect((await kept).status()).toBe(200);
  const steps = page.getByRole('list', { name: 'Steps' });
  await expect(steps.getByLabel('pinned')).toHaveCount(1);
  // What is fixed can be taken up again.
  await page.keyboard.press('m');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(card).toContainText(/more steps? moves? with it|Nothing else moves/);
  await expect(card).not.toContainText('No room there');
  await page.keyboard.press('Escape');
  const undo = page.getByRole('button', { name: /^Undo: Brioche 29/ });
  await expect(undo).toBeVisible();
  await expectAccessible(page);
  await undo.click();
  await expect(steps.getByLabel('pinned')).toHaveCount(0);
  await page.getByRole('button', { name: /^Redo: Brioche 29/ }).click();
  await expect(steps.getByLabel('pinned')).toHaveCount(1);
  const again = done(page, 'undo-plan');
  await page.keyboard.press('u');
  await again;
  await expect(steps.getByLabel('pinned')).toHaveCount(0);
});

test('a knot is dragged into an empty shift and refused, then dragged to where it can be and stays there', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await openPlan(page);
  const thread = row(page, 'Brioche 29');
  const drag = async (hours: number) => {
    await thread.scrollIntoViewIfNeeded();
    const box = await thread.boundingBox();
    const knot = thread.locator('circle').first();
    const at = await knot.boundingBox();
    if (!box || !at) throw new Error('The thread has no knot.');
    const [x, y] = [at.x + at.width / 2, at.y + at.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 6, y);
    await page.mouse.move(x + (hours * box.width) / 96, y, { steps: 6 });
  };
  const card = page.getByRole('status').filter({ hasText: 'Escape to cancel' });
  // To half past ten in the evening, when the last shift has gone.
  await thread.click();
  const first = page.getByRole('list', { name: 'Steps' }).getByRole('button').first();
  const [, hour, minute] = /(\d\d):(\d\d)/.exec((await first.textContent()) ?? '') ?? [];
  await drag(22.5 - Number(hour) - Number(minute) / 60);
  await expect(card).toContainText('No room there');
  const refused = done(page, 'move-step');
  await page.mouse.up();
  expect((await refused).status()).toBe(422);
  await expect(alertOf(page)).toContainText('No room at');

  await drag(1);
  await expect(card).toContainText('later');
  const kept = done(page, 'move-step');
  await page.mouse.up();
  expect((await kept).status()).toBe(200);
  await expect(page.getByRole('button', { name: /^Undo: Brioche 29/ })).toBeVisible();
});

test('a picked step says how early and late it can be, and what holds it', async ({ browser }) => {
  const page = await signIn(browser, 'Mara');
  await openPlan(page);
  await row(page, 'Levain 3').click();
  const step = page.getByRole('list', { name: 'Steps' }).getByRole('button', { name: /Lock-in/ });
  await step.click();
  await expect(step).toHaveAttribute('aria-expanded', 'true');
  await expect(page.getByText(/^Not before \w{3} \d\d:\d\d:/)).toBeVisible();
  await expect(page.getByText(/^Not after \w{3} \d\d:\d\d:/)).toBeVisible();
  await page.getByRole('button', { name: 'Pin step here' }).click();
  await expect(page.getByRole('button', { name: 'Unpin step' })).toBeVisible();
  await page.getByRole('button', { name: 'Unpin step' }).click();
  await expect(page.getByRole('button', { name: 'Pin step here' })).toBeVisible();
});

test('a station’s row is gone along by the arrows, and its work taken in the hand by keys or pointer', async ({
  browser,
}) => {
  const page = await signIn(browser, 'Mara');
  await openPlan(page);
  await page.getByLabel('Rows').selectOption({ label: 'Stations' });
  const mixer = page.getByRole('group', { name: 'Mixer', exact: true });
  const work = mixer.getByRole('button', { name: /mix/ });
  await work.first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(work.nth(1)).toBeFocused();
  await expect(work.nth(1)).toHaveAttribute('aria-pressed', 'true');
  await work.last().focus();
  await page.keyboard.press('m');
  await page.keyboard.press('ArrowRight');
  const card = page.getByRole('status').filter({ hasText: 'Escape to cancel' });
  await expect(card).toContainText('5 min later');
  await page.keyboard.press('Escape');

  const box = await work.last().boundingBox();
  if (!box) throw new Error('The mixer has nothing to do.');
  await page.mouse.move(box.x + 8, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x + 30, box.y + 20, { steps: 4 });
  await expect(card).toContainText(/later|No room/);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(card).toHaveCount(0);
});
