import { stateOf } from '@/core/record/dough';
import { randomUUID } from 'node:crypto';
import { houseNow } from './store/clock';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse, probeRequest } from '../../test-support/demo-house';
import { ok, refusal } from '../../test-support/house';
import type { Person } from '@/core/bakery/people';
import { runCommand } from './commands/run';
import { Refusal } from './commands/command';
import { rowsOf, write } from './db/rows';
import { takeReadings } from './intake/readings';
import { keepPhoto, LARGEST_PHOTO, pictureType } from './photos';
import { photoBytes, photosOf } from './store/photos';
import { SHELF_NAMES } from './setup/beginnings';
import { type BatchSearch, findBatches } from './store/batches';
import { batchTemperatures } from './store/batch-temperatures';
import { doughById, doughsDueFrom } from './store/doughs';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let jonas: Person;
beforeAll(async () => {
  house = await demoHouse();
  [mara, jonas] = [house.person('Mara'), house.person('Jonas')];
});
afterAll(() => house.close());

const now = () => house.now();
const find = async (search: BatchSearch = {}) => findBatches(house.pool, await now(), search);
const JPEG = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]);

/** A finished dough of the demo, and the step on which its first output is judged. */
async function finished() {
  const all = await doughsDueFrom(house.pool, (await now()) - 3 * 24 * 3_600_000);
  const dough = all.find((one) => stateOf(one).finished);
  const step = dough?.steps.findLast(({ outputId }) => outputId !== null);
  if (!dough || !step) throw new Error('The demo has a finished dough.');
  return { dough, step };
}

const judge = (person: Person, doughId: number, stepKey: string, marks: object, seen: string[] = []) =>
  runCommand('record-event', person, {
    ...{ id: randomUUID(), doughId, stepKey, kind: 'marks', data: { kind: 'marked', marks, seen } },
  });

describe('a finished batch', () => {
  it('gets marks from 1 to 5 and faults of the list, and no others', async () => {
    const { dough, step } = await finished();
    expect((await refusal(judge(jonas, dough.id, step.key, { rise: 6 }))).message).toMatch(/from 1 to 5/);
    expect((await refusal(judge(jonas, dough.id, step.key, {}, ['ugly']))).message).toMatch(/from the list/);
    await ok(judge(jonas, dough.id, step.key, { rise: 2, crumb: 3 }, ['flat']));
    const [line] = await find({ mark: 3 });
    expect(line).toMatchObject({ id: dough.id, mean: 2.5 });
  });

  it('is not judged before it is baked', async () => {
    const all = await doughsDueFrom(house.pool, await now());
    const raw = all.find((one) => !stateOf(one).finished);
    const step = raw?.steps.findLast(({ outputId }) => outputId !== null);
    const answer = await refusal(judge(jonas, raw?.id ?? 0, step?.key ?? '', { rise: 4 }));
    expect(answer.message).toMatch(/can be marked once it is baked/);
  });

  it('is judged by bakers and not by helpers', async () => {
    const { dough, step } = await finished();
    const helper: Person = { ...jonas, role: 'helper' };
    expect((await refusal(judge(helper, dough.id, step.key, { rise: 4 }))).message).toMatch(/Ask a baker/);
  });

  it('is found by product, day, mark and word, and by all of them at once', async () => {
    const { dough, step } = await finished();
    await ok(
      runCommand('record-event', jonas, {
        ...{
          id: randomUUID(),
          doughId: dough.id,
          stepKey: step.key,
          kind: 'note',
          text: 'blistered 100% of it',
        },
      }),
    );
    const product = dough.outputs[0]?.product ?? '';
    const due = (await find({ word: 'blistered' }))[0]?.finishedAt ?? 0;
    const is = expect.arrayContaining([expect.objectContaining({ id: dough.id })]) as unknown;
    for (const search of [
      { product },
      { product: SHELF_NAMES[product]?.de?.one.toLowerCase() },
      { word: 'blistered' },
      { word: '100%' },
      { from: due, to: due + 1 },
    ])
      expect(await find(search)).toEqual(is);
    expect(await find({ product, word: 'blistered', mark: 3, from: due, to: due + 1 })).toHaveLength(1);
    for (const search of [
      { product: 'no such bun' },
      { word: '1_0%' },
      { to: due - 1, from: due - 2 },
      { mark: 2 },
    ])
      expect(await find(search)).toEqual([]);
  });
});

describe('the list of batches', () => {
  it('has every dough as soon as it is finished, and none before, whatever it was promised for', async () => {
    const moment = await now();
    const all = await doughsDueFrom(house.pool, moment - 24 * 3_600_000);
    const listed = await find();
    for (const dough of all) {
      const line = listed.find(({ id }) => id === dough.id);
      if (stateOf(dough).finished) expect(line?.finishedAt).toBeLessThanOrEqual(moment);
      else expect(line).toBeUndefined();
    }
    expect([...listed].sort((a, b) => b.finishedAt - a.finishedAt || b.id - a.id)).toEqual(listed);
  });

  it('has one that is finished before it is wanted', async () => {
    const { dough } = await finished();
    const [was] = await rowsOf<{ dueAt: Date }>(
      house.pool,
      'SELECT MAX(due_at) AS dueAt FROM dough_output WHERE dough_id = ?',
      [dough.id],
    );
    const later = new Date((await now()) + 6 * 3_600_000);
    await write(house.pool, 'UPDATE dough_output SET due_at = ? WHERE dough_id = ?', [later, dough.id]);
    await ok(
      runCommand('record-event', jonas, {
        ...{ id: randomUUID(), doughId: dough.id, stepKey: null, kind: 'note', text: 'early' },
      }),
    );
    expect((await find()).some(({ id }) => id === dough.id)).toBe(true);
    await write(house.pool, 'UPDATE dough_output SET due_at = ? WHERE dough_id = ?', [
      was?.dueAt ?? later,
      dough.id,
    ]);
  });
});

describe('what probes have said of a batch', () => {
  it('is the curve of each place for as long as it stood there, and of a core probe while it was in it', async () => {
    const all = await doughsDueFrom(house.pool, await now());
    const waiting = all.flatMap((one) => {
      const running = one.steps.filter(
        ({ key, step }) => step.place === 'retarder' && stateOf(one).steps.get(key)?.status === 'running',
      );
      return running.map(({ key }) => ({ dough: one, key }));
    })[0];
    if (!waiting) throw new Error('The demo has a dough in the retarder.');
    const { dough, key } = waiting;
    const event = {
      doughId: dough.id,
      stepKey: key,
      kind: 'probe',
      data: { kind: 'probed', probe: 'core-1' },
    };
    await ok(runCommand('record-event', jonas, { id: randomUUID(), ...event }));
    await house.later(20);
    const at = (await now()) - 60_000;
    const readings = [8.4, 8.1].map((celsius, i) => ({
      place: 'core-1',
      celsius,
      at: at - 60_000 * (1 - i),
    }));
    expect((await takeReadings(probeRequest({ readings }))).status).toBe(200);
    const fresh = await doughById(house.pool, dough.id);
    if (!fresh) throw new Error('The dough is still there.');
    const heard = await batchTemperatures(house.pool, fresh, await now());
    const around = heard.filter(({ probe, within }) => probe === 'retarder' && !within).at(-1);
    expect(around).toMatchObject({ label: 'Retarder', baking: false });
    expect(around?.points.length).toBeGreaterThan(1);
    for (const { at: moment } of around?.points ?? []) {
      expect(moment).toBeGreaterThanOrEqual((around?.from ?? Infinity) - 60_000);
      expect(moment).toBeLessThanOrEqual(around?.to ?? 0);
    }
    const within = heard.find((one) => one.within);
    expect(within).toMatchObject({ probe: 'core-1', label: 'Core probe 1' });
    expect(within?.points.map(({ celsius }) => celsius)).toEqual([8.4, 8.1]);
  });
});

describe('a photo', () => {
  it('is kept once, whoever sends it again, and comes back as it was', async () => {
    const { dough } = await finished();
    const of = { id: randomUUID(), doughId: dough.id, stepKey: null, at: null };
    expect(await keepPhoto(jonas, of, JPEG)).toEqual({ kept: true });
    expect(await keepPhoto(jonas, of, JPEG)).toEqual({ kept: false });
    expect(await photosOf(house.pool, dough.id)).toMatchObject([{ id: of.id, by: 'Jonas' }]);
    const back = await photoBytes(house.pool, of.id);
    expect(back?.type).toBe('image/jpeg');
    expect(new Uint8Array(back?.bytes ?? [])).toEqual(JPEG);
  });

  it('has the time at which it was taken, and that at which it came where a clock says what cannot be', async () => {
    const { dough } = await finished();
    const now = await houseNow(house.pool);
    const taken = async (at: number) => {
      const id = randomUUID();
      await keepPhoto(jonas, { id, doughId: dough.id, stepKey: null, at }, JPEG);
      return (await photosOf(house.pool, dough.id)).find((one) => one.id === id)?.at;
    };
    expect(await taken(now - 3 * 3_600_000)).toBe(now - 3 * 3_600_000);
    expect(await taken(now + 3_600_000)).toBeGreaterThanOrEqual(now);
    expect(await taken(now - 60 * 24 * 3_600_000)).toBeGreaterThanOrEqual(now);
  });

  it('is told by its bytes: a text called .jpg is none', async () => {
    const { dough } = await finished();
    const text = new TextEncoder().encode('<script>alert(1)</script>');
    const of = { id: randomUUID(), doughId: dough.id, stepKey: null, at: null };
    await expect(keepPhoto(jonas, of, text)).rejects.toThrow(Refusal);
    expect(pictureType(text)).toBeNull();
    expect(pictureType(new Uint8Array([0xff]))).toBeNull();
    expect(LARGEST_PHOTO).toBeLessThan(40_000_000);
  });
});

describe('sessions', () => {
  it('of somebody are ended by a planner and by nobody else', async () => {
    const end = { personId: jonas.id };
    expect((await refusal(runCommand('end-sessions', jonas, end))).message).toMatch(/Ask a planner/);
    await ok(runCommand('end-sessions', mara, end));
    expect((await refusal(runCommand('end-sessions', mara, { personId: 999 }))).message).toMatch(
      /does not work here/,
    );
  });
});
