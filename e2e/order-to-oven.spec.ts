import { expect, test, type Page } from '@playwright/test';
import { alertOf, everybodyLeaves, expectAccessible, signIn } from './support/people';

test.afterEach(everybodyLeaves);

/** Sets the demo clock through its own controls. */
async function setClock(page: Page, day: string, time: string): Promise<void> {
  await page.getByRole('button', { name: /^Demo clock/ }).click();
  await page.getByRole('combobox', { name: 'Set to' }).selectOption({ label: day });
  await page.getByRole('textbox', { name: 'at' }).fill(time);
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByText(time, { exact: true }).first()).toBeAttached();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: `Demo clock, ${day.slice(0, 3)} ${time}` })).toBeVisible();
}

test('a planner adds 120 butter crescents and a baker works on them while both see real times beside planned ones', async ({
  browser,
}) => {
  const planner = await signIn(browser, 'Mara');
  await expect(planner.getByRole('button', { name: /^Crescent 38/ })).toBeVisible();
  await expect(planner.getByText(/doughs under way or planned/)).toContainText(/^(9|1\d) /);

  await planner.keyboard.press('a');
  const sheet = planner.getByRole('dialog', { name: 'Add dough' });
  await sheet.getByRole('textbox', { name: 'Pieces' }).fill('120');
  await sheet.getByRole('combobox', { name: 'Product' }).selectOption({ label: 'Butter crescent' });
  await sheet.getByRole('combobox', { name: 'Ready on' }).selectOption({ label: 'Sat 21.11.' });
  await sheet.getByRole('textbox', { name: 'at' }).fill('6:30');
  await sheet.getByRole('button', { name: 'Add dough' }).click();
  await expect(sheet).toBeHidden();
  const panel = planner.getByRole('complementary', { name: 'Crescent 40' });
  await expect(panel).toContainText('120 butter crescent');
  await expect(panel).toContainText('Sat 06:30');
  for (const day of ['Fri', 'Sat']) await expect(panel.getByText(day, { exact: true })).toBeVisible();

  await panel.getByRole('link', { name: 'Open dough' }).click();
  const butterRow = planner.getByRole('row', { name: /Make butter block/ });
  const planned = /(\w{3} \d\d:\d\d) to/.exec((await butterRow.textContent()) ?? '')?.[1] ?? '';
  expect(planned).toMatch(/^(Thu|Fri) /);
  await setClock(planner, planned.startsWith('Thu') ? 'Thu 19.11.' : 'Fri 20.11.', planned.slice(4));

  const baker = await signIn(browser, 'Selma', { width: 1024, height: 768 });
  // Others of its kind may be on the card: it is this dough's.
  const own = baker.getByRole('button', { name: /Make butter block\s*Crescent 40/ });
  const onCard = baker.getByRole('region', { name: 'Now' }).getByText('Crescent 40', { exact: true });
  await expect(own.or(onCard).first()).toBeVisible();
  if (await own.isVisible()) await own.click();
  await expect(baker.getByRole('region', { name: 'Now' })).toContainText('Crescent 40');
  await baker.getByRole('button', { name: 'Start make butter block' }).click();
  await expect(baker.getByRole('button', { name: 'Done', exact: true })).toBeVisible();
  await expect(butterRow).toContainText('under way');
  await expect(butterRow).toContainText('Selma');

  await baker.getByRole('button', { name: '°C' }).click();
  await baker.getByRole('textbox', { name: /type it/ }).fill('warm');
  await baker.getByRole('button', { name: 'Record' }).click();
  await expect(alertOf(baker)).toContainText('Not a temperature');
  await baker.getByRole('textbox', { name: /type it/ }).fill('55 F');
  await baker.getByRole('button', { name: 'Record' }).click();
  await expect(butterRow).toContainText('12.8 °C');

  await setClock(
    planner,
    planned.startsWith('Thu') ? 'Thu 19.11.' : 'Fri 20.11.',
    shifted(planned.slice(4), 7),
  );
  await baker.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(butterRow).toContainText(`${planned.slice(4)} to ${shifted(planned.slice(4), 7)}`);
  await baker.getByRole('button', { name: /^Undo/ }).click();
  await expect(butterRow).toContainText('under way');
  await expectAccessible(baker);
  await expectAccessible(planner);
});

function shifted(time: string, minutes: number): string {
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  const total = hour * 60 + minute + minutes;
  return `${String(Math.floor(total / 60)).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`;
}

test('a dough goes from mixing to the oven in the browser, and its turns are counted', async ({
  browser,
}) => {
  const planner = await signIn(browser, 'Mara');
  const baker = await signIn(browser, 'Jonas', { width: 1024, height: 768 });
  await setClock(planner, 'Fri 20.11.', '12:00');
  const name = 'Danish 14';
  await planner.getByRole('button', { name: new RegExp(`^${name},`) }).click();
  await planner.getByRole('complementary', { name }).getByRole('link', { name: 'Open dough' }).click();
  await expect(planner.getByRole('heading', { name, level: 1 })).toBeVisible();

  const now = baker.getByRole('region', { name: 'Now' });
  const card = now.getByText(name, { exact: true });
  // Of what waits by itself only a bake is ended by hand.
  const next = baker.getByRole('region', { name: 'Next' }).getByRole('button').filter({ hasText: name });
  const waiting = baker.getByRole('region', { name: 'Resting and rising' }).getByRole('button');
  const baking = waiting.filter({ hasText: name }).filter({ hasText: /bake/ });
  const offered = next.or(baking).first();
  const finished = planner.getByText('finished');
  for (let taps = 0; taps < 80; taps++) {
    // A step of this dough is on the card, or offered in a list, until all of them are done.
    const seen = () => Promise.all([finished, card, offered].map((part) => part.isVisible()));
    await expect.poll(async () => (await seen()).some(Boolean)).toBe(true);
    if (await finished.isVisible()) break;
    if (!(await card.isVisible())) {
      await offered.click();
      continue;
    }
    const act = now.getByRole('button', { name: /^(Start |Done|Unload)/ });
    const words = await act.textContent();
    if (words === 'Start turn 1') await expect(now.getByRole('heading')).toContainText('Turn 1 of 2');
    if (words === 'Start turn 2') await expect(now).toContainText('had book fold');
    const before = await now.innerText();
    await act.click();
    await expect.poll(() => now.innerText()).not.toBe(before);
  }
  await expect(planner.getByText('finished')).toBeVisible();
  await expect(planner.getByRole('row', { name: /Bake/ })).toContainText('Jonas');
});
