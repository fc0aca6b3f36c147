import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { DRY_TO_THE_TOUCH, SKIN } from '@/core/double/drying';
import { forecastDough } from '@/core/forecast/forecast';
import { truthAt } from '@/core/practice/looks';
import { boardAt, openRecord } from '@/core/practice/night';
import { conditionsOf } from '@/core/wire/board';
import { MINUTE } from '@/core/time/local';
import type { Found, NightRecord } from '@/core/practice/night-record';
import { SITUATION_IDS, SITUATIONS, type Situation } from '@/core/practice/situation';
import { replaySteps } from '@/core/practice/replay';
import { stateOf } from '@/core/record/dough';
import { demoHouse } from '../../../test-support/demo-house';
import { ok } from '../../../test-support/house';
import { rowsOf } from '../db/rows';
import { doughById } from '../store/doughs';
import { nightById, nightLines, ownSituations } from '../store/practice';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
});
afterAll(() => house.close());

const open = (name: string, choice: object, clientId = uuidv7()) =>
  runCommand('open-practice', house.person(name), { clientId, ...choice });
const opened = async (name: string, choice: object) => {
  const { id } = await ok<{ id: number }>(open(name, choice));
  const night = await nightById(house.pool, id);
  if (!night) throw new Error('The night is kept.');
  return night;
};
const refusalOf = async (answer: ReturnType<typeof runCommand>) => {
  const given = await answer;
  if (given.ok) throw new Error('It should be refused.');
  return given.message;
};
const counts = async () => {
  const [row] = await rowsOf<Record<string, number>>(
    house.pool,
    `SELECT (SELECT COUNT(*) FROM dough) AS doughs, (SELECT COUNT(*) FROM floor_event) AS events,
       (SELECT COUNT(*) FROM change_feed) AS told`,
  );
  return row;
};

const FOUND: readonly Found[] = [
  { sense: 'eye', of: 'rise', phase: 'proof', verdict: 'under', isDry: true },
  { sense: 'eye', of: 'bake', colour: 'pale' },
  { sense: 'hand', check: 'spring', answer: 'springs' },
  { sense: 'hand', check: 'bend', answer: 'snaps' },
];

describe('a practice night', () => {
  it('of every situation opens with products of this bakery, and touches neither plan nor log nor other tablets', async () => {
    const before = await counts();
    for (const ships of SITUATION_IDS) {
      const { scene, situation } = await opened('Ida', { ships });
      expect(situation).toBe(ships);
      expect(scene.board.doughs).toHaveLength(SITUATIONS[ships].doughs.length);
      for (const dough of scene.board.doughs) {
        const running = [...stateOf(dough).steps.values()].filter(({ status }) => status === 'running');
        expect({ ships, running: running.length > 0 }).toEqual({ ships, running: true });
      }
    }
    expect(await counts()).toEqual(before);
  });

  it('without steam dries this bakery’s own pieces, and with it none', async () => {
    const driedIn = async (ships: 'dryProofer' | 'calm') => {
      const { scene } = await opened('Ida', { ships });
      const at = scene.opensAt + 70 * MINUTE;
      const board = boardAt(scene, { ...openRecord(scene), at });
      const [record] = board.doughs;
      if (!record) throw new Error('The night has a dough.');
      const forecast = forecastDough(record, conditionsOf(board), at);
      const proof = forecast.steps.find(({ step, status }) => step.kind === 'proof' && status === 'running');
      return truthAt(scene, { record, forecast }, proof?.key ?? '', at).dried;
    };
    expect(await driedIn('dryProofer')).toBeGreaterThan(SKIN);
    expect(await driedIn('calm')).toBeLessThan(DRY_TO_THE_TOUCH);
  });

  it('is opened once under one number, with the same faults', async () => {
    const clientId = uuidv7();
    const first = await ok<{ id: number }>(
      runCommand('open-practice', house.person('Ida'), { clientId, ships: 'slow' }, { key: clientId }),
    );
    const again = await ok<{ id: number }>(
      runCommand('open-practice', house.person('Ida'), { clientId, ships: 'slow' }, { key: clientId }),
    );
    expect(again).toEqual(first);
  });

  it('is kept as far as it has gone, and ends once', async () => {
    const night = await opened('Ida', { ships: 'calm' });
    const [dough] = night.scene.board.doughs;
    const wash = dough?.steps.find(({ step }) => step.kind === 'wash')?.key ?? '';
    const head = {
      doughId: dough?.id ?? 0,
      stepKey: wash,
      at: night.scene.opensAt,
      personId: night.personId,
    };
    const event = {
      ...head,
      id: uuidv7(),
      kind: 'start' as const,
      celsius: null,
      text: null,
      undoes: null,
      data: null,
    };
    const record: NightRecord = {
      ...openRecord(night.scene),
      events: [event],
      looks: [
        {
          ...{ doughId: head.doughId, stepKey: wash, at: head.at },
          found: { sense: 'thermometer', celsius: 24.1 },
        },
        // What every sense finds is what a look of the core may hold.
        ...FOUND.map((found) => ({ doughId: head.doughId, stepKey: wash, at: head.at, found })),
      ],
    };
    const keep = (ended: boolean, by = 'Ida') =>
      runCommand('keep-practice', house.person(by), { id: night.id, record, ended });
    await ok(keep(false));
    expect((await nightById(house.pool, night.id))?.record).toEqual(record);
    expect(await refusalOf(keep(false, 'Jonas'))).toBe(
      'Only the person who started a practice night can work it.',
    );
    await ok(keep(true));
    const kept = await nightById(house.pool, night.id);
    expect(kept).toMatchObject({ endedAt: await house.now(), good: 0 });
    expect(kept?.possible).toBeGreaterThan(34);
    expect(await refusalOf(keep(false))).toBe('This practice night is over. Open a new one.');
  });

  it('takes no record that is none', async () => {
    const night = await opened('Ida', { ships: 'calm' });
    const record = openRecord(night.scene);
    const keep = (broken: object) =>
      runCommand('keep-practice', house.person('Ida'), {
        id: night.id,
        record: { ...record, ...broken },
        ended: false,
      });
    for (const broken of [
      { events: [{ kind: 'start' }] },
      { events: 'all' },
      { looks: [{ at: record.at, doughId: 1, stepKey: 'x', found: { sense: 'nose' } }] },
      { at: 'now' },
      { more: 1 },
    ])
      expect((await keep(broken)).ok).toBe(false);
    expect((await nightById(house.pool, night.id))?.record).toEqual(record);
  });

  it('of a batch opens where that batch was, under its own record', async () => {
    const [row] = await rowsOf<{ id: number }>(house.pool, "SELECT id FROM dough WHERE name = 'Brioche 27'");
    const dough = await doughById(house.pool, row?.id ?? 0);
    if (!dough) throw new Error('The demo has a Brioche 27.');
    const stepKey = replaySteps(dough).at(-1)?.key ?? '';
    const { scene, name, situation } = await opened('Selma', { doughId: dough.id, stepKey });
    expect([name, situation]).toEqual(['Brioche 27', `batch ${dough.id} ${stepKey}`]);
    const [again] = scene.board.doughs;
    expect(again && stateOf(again).steps.get(stepKey)?.status).toBe('running');
    expect(scene.opensAt).toBe(await house.now());
    expect(await refusalOf(open('Selma', { doughId: dough.id, stepKey: 'nowhere' }))).toBe(
      'Choose a step of the dough.',
    );
  });

  it('is none of what is not asked for, or asked for twice', async () => {
    const sentence = 'Choose a practice night from the list.';
    expect(await refusalOf(open('Ida', {}))).toBe(sentence);
    expect(await refusalOf(open('Ida', { ships: 'calm', own: 1 }))).toBe(sentence);
    expect(await refusalOf(open('Ida', { own: 999 }))).toBe(sentence);
    expect((await open('Ida', { ships: 'nothing' })).ok).toBe(false);
    expect((await open('Ida', { doughId: 1 })).ok).toBe(false);
  });
});

describe('a night of the bakery’s own', () => {
  const situation: Situation = { ...SITUATIONS.hotProofer, level: 3, thermometer: 2 };
  const save = (more: object = {}) =>
    runCommand('save-situation', house.person('Mara'), {
      ...{ clientId: uuidv7(), name: 'Sunday heat', brief: 'One load.', situation },
      ...more,
    });

  it('is kept by a planner, opened by anybody, and can be taken out of the list', async () => {
    const { id } = await ok<{ id: number }>(save());
    expect((await ownSituations(house.pool)).map(({ name }) => name)).toEqual(['Sunday heat']);
    const night = await opened('Piet', { own: id });
    expect(night.name).toBe('Sunday heat');
    expect(night.scene.thermometer).toBe(2);
    await ok(runCommand('remove-situation', house.person('Mara'), { id }));
    expect(await ownSituations(house.pool)).toEqual([]);
    expect((await runCommand('remove-situation', house.person('Mara'), { id })).ok).toBe(false);
    expect((await nightLines(house.pool, house.person('Piet').id)).map(({ name }) => name)).toEqual([
      'Sunday heat',
    ]);
  });

  it('names what is wrong with it beside its field', async () => {
    const [dough] = situation.doughs;
    const wrong = async (more: object) => {
      const answer = await save(more);
      return answer.ok ? null : [answer.field, answer.message];
    };
    expect(await wrong({ name: ' ' })).toEqual(['name', 'Name the night, in up to 80 characters.']);
    expect(await wrong({ situation: { ...situation, hours: 40 } })).toEqual([
      'situation.hours',
      'Enter a value from 1 to 14.',
    ]);
    expect(await wrong({ situation: { ...situation, doughs: [] } })).toEqual([
      'situation.doughs',
      'A night has one to six doughs.',
    ]);
    expect(await wrong({ situation: { ...situation, doughs: [{ ...dough, vigour: 9 }] } })).toEqual([
      'situation.doughs.0.vigour',
      'Enter a value from 0.3 to 2.',
    ]);
    expect((await runCommand('save-situation', house.person('Ida'), { name: 'x' })).ok).toBe(false);
  });

  it('asks for a product that there is', async () => {
    const doughs = situation.doughs.map((one) => ({ ...one, product: 4711 }));
    const { id } = await ok<{ id: number }>(
      save({ name: 'Of nothing', situation: { ...situation, doughs } }),
    );
    expect(await refusalOf(open('Ida', { own: id }))).toContain('no product');
  });
});
