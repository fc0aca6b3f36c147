import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { ok } from '../../../test-support/house';
import { stateOf, type DoughRecord } from '@/core/record/dough';
import { cutShort } from '@/core/forecast/cut-sheets';
import { drifts } from '@/core/schedule/drift';
import { runCommand } from '../commands/run';
import { doughCut } from './cut-plan';
import { doughById, doughsDueFrom } from './doughs';
import { rollingHouse } from './rolling';
import { readWholePlan } from './whole-problem';
import { inEnglish } from '../../../test-support/words';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
});
afterAll(() => house.close());

/** A crescent dough that is not sheeted yet. */
async function toBeCut(): Promise<DoughRecord> {
  const all = await doughsDueFrom(house.pool, await house.now());
  const dough = all.find((one) => one.lamination && stateOf(one).steps.get('sheet')?.status === 'open');
  if (!dough) throw new Error('The demo has a dough to be cut.');
  return dough;
}

const again = async (id: number): Promise<DoughRecord> => {
  const dough = await doughById(house.pool, id);
  if (!dough) throw new Error('The dough has gone.');
  return dough;
};

describe('what was really mixed', () => {
  it('gives every piece of every dough of the demo as it was planned', async () => {
    const rolling = await rollingHouse(house.pool);
    for (const dough of await doughsDueFrom(house.pool, await house.now()))
      expect(cutShort({ ...dough, state: stateOf(dough) }, dough.outputs, rolling)).toEqual([]);
  });

  it('governs sheet, cut plan and drift: a dough that is too small says which pieces it does not give', async () => {
    const [dough, rolling] = await Promise.all([toBeCut(), rollingHouse(house.pool)]);
    const planned = await doughCut(house.pool, dough, rolling);
    const held = { kind: 'adjusted', ingredient: 'wheat-flour', grams: -900 };
    const event = { id: randomUUID(), doughId: dough.id, stepKey: 'mix', kind: 'mix', data: held };
    await ok(runCommand('record-event', house.person('Jonas'), event));
    const now = await again(dough.id);
    expect(now.lamination?.weights.dough).toBeLessThan(dough.lamination?.weights.dough ?? 0);
    const cut = await doughCut(house.pool, now, rolling);
    expect(cut?.sheet.length).toBeLessThan(planned?.sheet.length ?? 0);
    const [short] = cutShort({ ...now, state: stateOf(now) }, now.outputs, rolling);
    expect(short?.missing).toBeGreaterThan(0);
    const at = await house.now();
    const told = drifts(await readWholePlan(house.pool, at), { machines: [], rolling }, at, 10);
    expect(told.map(({ message }) => inEnglish(message))).toContainEqual(
      expect.stringMatching(new RegExp(`^${now.name}: \\d+ of \\d+ cannot be cut`)),
    );
    // Taken back, all of them come from it again.
    await ok(
      runCommand('record-event', house.person('Jonas'), {
        ...{ id: randomUUID(), doughId: dough.id, stepKey: 'mix', kind: 'undo', undoes: event.id },
      }),
    );
    const back = await again(dough.id);
    expect(cutShort({ ...back, state: stateOf(back) }, back.outputs, rolling)).toEqual([]);
  });
});
