import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { forecastOf, ok, refusal } from '../../../test-support/house';
import { addSecondMachines } from '../../../test-support/twin-house';
import type { Person } from '@/core/bakery/people';
import { choicesOf } from '@/core/process/on-machines';
import type { DoughRecord } from '@/core/record/dough';
import type { Proposal } from '@/core/schedule/proposal';
import { clashes } from '@/core/solver/clashes';
import { formatLocal } from '@/core/time/local';
import { write } from '../db/rows';
import { doughById } from '../store/doughs';
import { currentProducts } from '../store/products';
import { readWholePlan } from '../store/whole-problem';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
beforeAll(async () => {
  house = await demoHouse();
  await addSecondMachines(house.pool);
  mara = house.person('Mara');
}, 120_000);
afterAll(() => house.close());

async function add(product: string, pieces: number, due: string): Promise<DoughRecord> {
  const found = (await currentProducts(house.pool)).find(({ name }) => name === product);
  const outputs = [{ productId: found?.productId, pieces, due }];
  const { id } = await ok<{ id: number }>(
    runCommand('add-dough', mara, { clientId: uuid(), outputs, late: true, again: true }),
  );
  const dough = await doughById(house.pool, id);
  if (!dough) throw new Error('It was added.');
  return dough;
}
const machinesOf = ({ steps }: Pick<DoughRecord, 'steps'>, kind: string) =>
  steps.filter(({ step }) => step.kind === kind).flatMap((step) => choicesOf(step));
const overlaps = async () => {
  const { problem, present } = await readWholePlan(house.pool, await house.now());
  return clashes(problem, present).filter(({ rule }) => rule === 'too-much' || rule === 'setting');
};

describe('a bakery with two unlike ovens, two mixers, a second retarder and a blast freezer', () => {
  it('keeps its doughs where they were planned when it gets them', async () => {
    const { doughs } = await readWholePlan(house.pool, await house.now());
    const bakes = doughs.flatMap((dough) => machinesOf(dough, 'bake'));
    expect(new Set(bakes)).toEqual(new Set(['oven']));
    expect(await overlaps()).toEqual([]);
  });

  it('mixes a small dough in the mixer that takes so little, and a large one in the other', async () => {
    await write(house.pool, "UPDATE machine SET kg_least = 15 WHERE id = 'mixer'", []);
    const [small, large] = [
      await add('Butter crescent', 15, '2026-11-22T07:00'),
      await add('Butter crescent', 300, '2026-11-22T09:00'),
    ];
    const mixerOf = ({ steps }: DoughRecord) =>
      steps.find(({ step }) => step.kind === 'mix')?.uses.map(({ resource }) => resource);
    expect(mixerOf(small)).toContain('mixer-2');
    expect(mixerOf(large)).toContain('mixer');
    expect(await overlaps()).toEqual([]);
  });

  it('bakes in both ovens at a time where one alone would be late, no load larger than its oven', async () => {
    const due = '2026-11-23T07:00';
    const doughs = [];
    for (let i = 0; i < 4; i++) doughs.push(await add('Butter crescent', 60, due));
    const bakes = doughs.flatMap(({ steps }) => steps.filter(({ step }) => step.kind === 'bake'));
    const ovens = bakes.map(({ uses }) => uses.find(({ setting }) => setting !== undefined));
    expect(new Set(ovens.map((use) => use?.resource))).toEqual(new Set(['oven', 'oven-2']));
    for (const use of ovens) if (use?.resource === 'oven-2') expect(use.amount).toBeLessThanOrEqual(4);
    expect(await overlaps()).toEqual([]);
  }, 120_000);

  it('moves loads to the other oven when one is out, says so, and keeps it when accepted', async () => {
    const now = await house.now();
    const { doughs } = await readWholePlan(house.pool, now);
    const found = doughs
      .flatMap((dough) => dough.steps.map((step) => ({ dough, step })))
      .filter(({ step }) => step.step.kind === 'bake' && step.uses.some(({ among }) => among))
      .filter(({ step }) => step.plannedStart > now && choicesOf(step)[0] === 'oven')
      .sort((a, b) => a.step.plannedStart - b.step.plannedStart)[0];
    if (!found) throw new Error('Something small is baked in the large oven.');
    const { step } = found;
    const [start, end] = [step.plannedStart - 30 * 60_000, step.plannedEnd + 5 * 3_600_000];
    await ok(
      runCommand('add-exception', mara, {
        ...{ kind: 'down', personId: null, machineId: 'oven', units: null, note: 'burner', sure: true },
        ...{ start: formatLocal(start, 'Europe/Berlin'), end: formatLocal(end, 'Europe/Berlin') },
      }),
    );
    const { proposal } = await ok<{ proposal: Proposal }>(runCommand('propose-mend', mara, { seconds: 2 }));
    const onto = proposal.body.changes.filter((change) => change.onto?.includes('oven-2'));
    expect(onto.length).toBeGreaterThan(0);
    await ok(runCommand('accept-proposal', mara, { id: proposal.id }));
    const moved = await doughById(house.pool, onto[0]?.doughId ?? 0);
    expect(moved && machinesOf(moved, 'bake')).toContain('oven-2');
    expect(await overlaps()).toEqual([]);
    await ok(runCommand('undo-plan', mara, {}));
    const back = await doughById(house.pool, onto[0]?.doughId ?? 0);
    expect(back && machinesOf(back, 'bake')).toEqual(
      machinesOf(found.dough.id === back?.id ? found.dough : (back ?? found.dough), 'bake'),
    );
  }, 120_000);

  it('reckons with the retarder that a dough is in, and with the oven that a load went into', async () => {
    const dough = await add('Butter crescent', 30, '2026-11-24T07:00');
    const retard = dough.steps.find(({ step }) => step.kind === 'retard');
    if (!retard) throw new Error('It is retarded.');
    await write(
      house.pool,
      "UPDATE planned_step SET machines = JSON_ARRAY('retarder-2') WHERE dough_id = ? AND step_key = ?",
      [dough.id, retard.key],
    );
    const walkIn = (await forecastOf(house.pool, dough.id)).steps.find(({ key }) => key === retard.key);
    expect(walkIn).toMatchObject({ place: 'retarder-2', around: 2 });

    const bake = dough.steps.find(({ step }) => step.kind === 'bake');
    const into = (oven: string, decks: number[]) =>
      runCommand('record-event', house.person('Jonas'), {
        ...{ id: uuid(), doughId: dough.id, stepKey: bake?.key, kind: 'deck' },
        data: { kind: 'decks', oven, decks },
      });
    expect((await refusal(into('oven-2', [3]))).message).toBe('The small oven has 2 decks.');
    expect((await refusal(into('mixer', [1]))).message).toBe('That oven does not exist.');
    await ok(into('oven-2', [2]));
    const baked = (await doughById(house.pool, dough.id))?.steps.find(({ key }) => key === bake?.key);
    expect(baked?.uses.find(({ setting }) => setting !== undefined)?.resource).toBe('oven-2');
  });
});
