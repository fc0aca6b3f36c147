import { expect, test } from '@playwright/test';
import { PEOPLE } from '@/server/demo/bakery';
import { rowsOf } from '@/server/db/rows';
import { people } from '@/server/store/house';
import { Crew } from '@/devices/bakery/crew';
import { TABLET } from '../support/floor';
import { address, everybodyLeaves, signIn } from '../support/people';
import { beginNight, type Night } from '../support/night';

let night: Night;
test.beforeEach(async () => {
  night = await beginNight();
});
test.afterEach(async () => {
  await everybodyLeaves();
  await night.end();
});

/** Lets the crew work for some minutes of the house, a look a minute, as at sixty times the speed. */
async function worked(crew: Crew, minutes: number) {
  const acts = [];
  for (let minute = 0; minute < minutes; minute++) {
    acts.push(...(await crew.work()));
    await night.pass(1);
  }
  return acts;
}

test('a visitor watches an hour go by, takes one baker’s place, and the others go on', async ({
  browser,
}) => {
  const everybody = await people(night.pool);
  const idOf = (name: string) => everybody.find((one) => one.name === name)?.id ?? 0;
  const crew = new Crew(
    address(),
    PEOPLE.map(({ name, pin }) => ({ id: idOf(name), pin })),
    1,
  );
  const recordedBy = async (name: string) => {
    const [row] = await rowsOf<{ n: number }>(
      night.pool,
      'SELECT COUNT(*) AS n FROM floor_event WHERE person_id = ? AND session_id IS NOT NULL',
      [idOf(name)],
    );
    return row?.n ?? 0;
  };

  // A viewer first: what the crew does shows on a screen that nobody touches.
  const watcher = await signIn(browser, 'Mara', { width: 1280, height: 800 });
  await watcher.goto('/oven');
  const watched = await worked(crew, 150);
  expect(watched.filter(({ refused }) => refused !== null)).toEqual([]);
  expect(watched.length).toBeGreaterThan(6);
  await watcher.goto('/bench');
  await expect(watcher.getByRole('region', { name: 'resting and rising' })).toBeVisible();
  expect((await recordedBy('Jonas')) + (await recordedBy('Ida'))).toBeGreaterThan(5);

  // Ida's place is taken: her own taps are the visitor's from now on.
  const ida = await signIn(browser, 'Ida', TABLET);
  await worked(crew, 2);
  const before = await recordedBy('Ida');
  await worked(crew, 8);
  expect(await recordedBy('Ida')).toBe(before);
  const start = ida.getByRole('button', { name: /^(Start|Done|Unload)/ }).first();
  if (await start.isVisible()) {
    await start.click();
    await expect.poll(() => recordedBy('Ida')).toBeGreaterThan(before);
  }
  const more = await worked(crew, 120);
  expect(more.some(({ personId }) => personId !== idOf('Ida'))).toBe(true);
  expect(more.filter(({ personId }) => personId === idOf('Ida'))).toEqual([]);
  await crew.leave();
});
