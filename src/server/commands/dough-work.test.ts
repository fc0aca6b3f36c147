import { stateOf } from '@/core/record/dough';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { forecastOf, ok, refusal } from '../../../test-support/house';
import type { Person } from '@/core/bakery/people';
import type { Lesson } from '@/core/wire/lesson';
import { windowMisses } from '@/core/schedule/window-misses';
import { forecastDough } from '@/core/forecast/forecast';
import type { Draft } from '@/core/formula/draft';
import { linesOf } from '@/core/formula/formula';
import { rowsOf } from '../db/rows';
import { houseNow } from '../store/clock';
import { conditions } from '../store/conditions';
import { doughsDueFrom } from '../store/doughs';
import { evidence, learntMixing, mixSubject } from '../store/evidence';
import { currentFormulas, formulaVersions } from '../store/formulas';
import { mixSheet } from '../store/mix';
import { currentProducts } from '../store/products';
import { runCommand } from './run';
import { inEnglish, say } from '../../../test-support/words';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let jonas: Person;

beforeAll(async () => {
  house = await demoHouse();
  [mara, jonas] = [house.person('Mara'), house.person('Jonas')];
});
afterAll(() => house.close());

async function count(
  table: 'formula_version' | 'floor_event' | 'place_reading' | 'evidence' | 'change_feed',
): Promise<number> {
  const [row] = await rowsOf<{ n: number }>(house.pool, `SELECT COUNT(*) AS n FROM ${table}`);
  return row?.n ?? 0;
}
async function doughNamed(name: string) {
  const found = (await doughsDueFrom(house.pool, await houseNow(house.pool))).find(
    (dough) => dough.name === name,
  );
  if (!found) throw new Error(`The demo has no ${name}.`);
  return found;
}

const draft = (rows: [string, string][], kind: Draft['stages'][number]['kind'] = 'dough'): Draft => ({
  ...{ flour: '1 kg', doughCelsius: '24' },
  stages: [{ kind, rows: rows.map(([name, amount]) => ({ name, amount, note: '' })) }],
});
const save = (part: Record<string, unknown>) =>
  runCommand('save-formula', mara, {
    ...{ clientId: randomUUID(), from: null, name: 'Trial dough', note: '', kitchen: 'metric' },
    draft: draft([
      ['flour', '100'],
      ['water', '60'],
    ]),
    ...part,
  });

describe('keeping a formula', () => {
  it('makes a version, once for the same form, and a new one for a change', async () => {
    const clientId = randomUUID();
    const first = await ok<{ formulaId: number; versionId: number; version: number }>(save({ clientId }));
    expect(await ok(save({ clientId }))).toEqual(first);
    const changed = draft([
      ['flour', '100'],
      ['water', '62'],
    ]);
    const second = await ok<{ version: number }>(
      save({ from: first.versionId, draft: changed, note: 'softer' }),
    );
    expect(second.version).toBe(2);
    const versions = await formulaVersions(house.pool, first.formulaId);
    expect(versions.map(({ version, note, by }) => [version, note, by])).toEqual([
      [2, 'softer', 'Mara'],
      [1, '', 'Mara'],
    ]);
  });

  it('says when somebody else has kept a version meanwhile', async () => {
    const [old] = (
      await formulaVersions(
        house.pool,
        (await currentFormulas(house.pool)).find(({ name }) => name === 'Trial dough')?.formulaId ?? 0,
      )
    ).slice(-1);
    const { message } = await refusal(save({ from: old?.id ?? 0 }));
    expect(message).toMatch(/Mara saved version 2 meanwhile/);
  });

  it('lets products follow, while doughs that are planned keep theirs', async () => {
    const crescent = (await currentFormulas(house.pool)).find(({ name }) => name === 'Crescent dough');
    const before = await mixSheet(house.pool, await doughNamed('Crescent 39'));
    const rows: [string, string][] = [
      ['water', '28 %'],
      ['milk', '25 %'],
      ['flour', '100 %'],
      ['salt', '1.9 %'],
      ['fresh yeast', '3.6 %'],
    ];
    const follow = (await currentProducts(house.pool)).map(({ productId }) => productId);
    const made = await ok<{ versionId: number }>(
      save({ from: crescent?.id, name: 'Crescent dough', draft: draft(rows), follow }),
    );
    const product = (await currentProducts(house.pool)).find(({ name }) => name === 'Butter crescent');
    expect(product?.formulaVersionId).toBe(made.versionId);
    const after = await mixSheet(house.pool, await doughNamed('Crescent 39'));
    expect(after?.formula.id).toBe(before?.formula.id);
  });

  it.each([
    [
      'flours that are not 100 %',
      draft([
        ['flour', '70'],
        ['rye flour', '20'],
      ]),
      /All flours must add up to 100 %/,
    ],
    [
      'an unknown ingredient',
      draft([
        ['flour', '100'],
        ['moon dust', '3'],
      ]),
      /“moon dust” is not an ingredient here yet/,
    ],
    [
      'a slip of the finger',
      draft([
        ['flour', '100'],
        ['water', '1000000 %'],
      ]),
      /is too much/,
    ],
    ['nothing', draft([]), /at least one ingredient/],
  ])('refuses %s, and keeps nothing of it', async (_, wrong, sentence) => {
    const before = await count('formula_version');
    expect(
      (await refusal(save({ name: `Wrong ${randomUUID().slice(0, 8)}`, draft: wrong }))).message,
    ).toMatch(sentence);
    expect(await count('formula_version')).toBe(before);
  });

  it('refuses a second formula of one name, a levain made of itself, and a baker’s change', async () => {
    expect((await refusal(save({ name: 'danish dough' }))).message).toMatch(
      /already a formula called Danish dough/,
    );
    const levain = (other: string) =>
      draft(
        [
          ['flour', '1000 g'],
          [other, '100 g'],
        ],
        'levain',
      );
    const mother = await ok<{ versionId: number }>(save({ name: 'Mother', draft: levain('water') }));
    await ok(save({ name: 'Child', draft: levain('Mother') }));
    const circle = save({ from: mother.versionId, name: 'Mother', draft: levain('Child') });
    expect((await refusal(circle)).message).toBe('Mother contains itself: Mother → Child → Mother.');
    const byJonas = runCommand('save-formula', jonas, {
      clientId: randomUUID(),
      from: null,
      name: 'X',
      note: '',
      kitchen: 'us',
      draft: draft([]),
    });
    expect((await refusal(byJonas)).message).toMatch(/cannot do this/);
  });
});

describe('ingredients', () => {
  it('are kept from being taken out while a formula needs them', async () => {
    expect((await refusal(runCommand('remove-ingredient', mara, { id: 'milk' }))).message).toMatch(
      /It is used in .* Remove it there first/,
    );
    await ok(runCommand('remove-ingredient', mara, { id: 'peanut' }));
    expect((await refusal(runCommand('remove-ingredient', mara, { id: 'moon-dust' }))).message).toMatch(
      /ingredient does not exist/,
    );
  });
});

describe('a mix', () => {
  const record = (doughId: number, part: Record<string, unknown>, person = jonas) =>
    runCommand('record-event', person, { id: randomUUID(), doughId, stepKey: 'mix', ...part });

  it('teaches the rise and the factor, and an undo takes the lesson back', async () => {
    const { id } = await doughNamed('Danish 14');
    const sheet = await mixSheet(house.pool, await doughNamed('Danish 14'));
    const subject = mixSubject('mixer', sheet?.formula.formulaId ?? 0);
    const conditions = { kind: 'conditions', flour: 20, room: 22, liquid: 8, iceKg: 0 };
    await ok(record(id, { kind: 'conditions', data: conditions }));
    const reading = randomUUID();
    const { lesson } = await ok<{ lesson: Lesson | null }>(
      runCommand('record-event', jonas, {
        id: reading,
        doughId: id,
        stepKey: 'mix',
        kind: 'temperature',
        celsius: 21,
      }),
    );
    expect(lesson?.evidenceId).toBeGreaterThan(0);
    const learnt = await learntMixing(house.pool, subject);
    expect([learnt.rise.readings, learnt.factor.readings]).toEqual([1, 1]);
    expect(learnt.rise.spread).toBeLessThan(2.5);
    await ok(record(id, { kind: 'undo', undoes: reading }));
    const after = await learntMixing(house.pool, subject);
    expect([after.rise.readings, after.factor.readings]).toEqual([0, 0]);
  });

  it('questions a reading that is far off, keeps it, and lets a person leave it out', async () => {
    const { id } = await doughNamed('Danish 14');
    const { lesson } = await ok<{ lesson: Lesson }>(record(id, { kind: 'temperature', celsius: 41 }));
    expect(inEnglish(lesson.question)).toMatch(/Measure again if in doubt/);
    await ok(runCommand('decline-evidence', jonas, { evidenceId: lesson.evidenceId, declined: true }));
    const rises = await evidence(house.pool, 'rise');
    expect(rises.find((one) => one.id === lesson.evidenceId)?.declined).toBe(true);
    expect(
      (await refusal(runCommand('decline-evidence', jonas, { evidenceId: 99_999, declined: true }))).message,
    ).toMatch(/batch does not exist/);
  });

  it('refuses a dough at 75 °C, liquid at 60 °C, weights below nothing and data of another kind', async () => {
    const { id } = await doughNamed('Danish 14');
    const before = await count('floor_event');
    const cases: [Record<string, unknown>, RegExp][] = [
      [{ kind: 'temperature', celsius: 75 }, /75 °F is 23.9 °C/],
      [
        { kind: 'conditions', data: { kind: 'conditions', flour: 20, room: 22, liquid: 60, iceKg: 0 } },
        /Enter -20 to 43 °C for the liquid/,
      ],
      [
        { kind: 'conditions', data: { kind: 'conditions', flour: 75, room: 22, liquid: 6, iceKg: 0 } },
        /Enter -5 to 45 °C for the flour/,
      ],
      [{ kind: 'mix', data: { kind: 'weighed', line: '0.0', bowl: 1, grams: -5 } }, /Enter a weight/],
      [{ kind: 'mix', data: { kind: 'verdict', verdict: 'right' } }, /What was done is missing/],
      [{ kind: 'mix' }, /What was done is missing/],
      [{ kind: 'verdict', data: { kind: 'verdict', verdict: 'right' } }, /Nothing rises during mix/],
      [
        { kind: 'alive', data: { kind: 'alive', answer: 'ready', sign: null } },
        /not a levain, sponge or yeast/,
      ],
    ];
    for (const [part, sentence] of cases) expect((await refusal(record(id, part))).message).toMatch(sentence);
    expect(await count('floor_event')).toBe(before);
  });

  it('becomes a new version of its formula as it was really done', async () => {
    const { id } = await doughNamed('Danish 14');
    expect(
      (await refusal(runCommand('adopt-mix', jonas, { clientId: randomUUID(), doughId: id }))).message,
    ).toMatch(/nothing new to save/);
    await ok(record(id, { kind: 'mix', data: { kind: 'adjusted', ingredient: 'wheat-flour', grams: -100 } }));
    const again = { clientId: randomUUID(), doughId: id };
    const made = await ok<{ formulaId: number; version: number }>(runCommand('adopt-mix', jonas, again));
    const [newest, ...older] = await formulaVersions(house.pool, made.formulaId);
    expect(await ok(runCommand('adopt-mix', jonas, again))).toMatchObject({ version: made.version });
    expect(await formulaVersions(house.pool, made.formulaId)).toHaveLength(older.length + 1);
    expect(newest?.note).toMatch(/as mixed for Danish 14: 100 g wheat flour held back/);
    expect(linesOf(newest?.formula ?? { stages: [], doughCelsius: null })[0]?.percent).toBeGreaterThan(36);
  });
});

describe('a verdict on a proof', () => {
  it('teaches the product’s time, and moves the window of the proof that was judged', async () => {
    const dough = await doughNamed('Crescent 38');
    const proof = (await forecastOf(house.pool, dough.id)).steps.find(({ label }) =>
      say.coded(label).startsWith('Proof chocolate'),
    );
    const { lesson } = await ok<{ lesson: Lesson | null }>(
      runCommand('record-event', jonas, {
        ...{ id: randomUUID(), doughId: dough.id, stepKey: proof?.key, kind: 'verdict' },
        data: { kind: 'verdict', verdict: 'over' },
      }),
    );
    expect(lesson).not.toBeNull();
    const after = (await forecastOf(house.pool, dough.id)).steps.find(({ key }) => key === proof?.key);
    expect(after?.target).toBeLessThan((proof?.target ?? 0) - 3);
  });
});

describe('temperatures that somebody tells', () => {
  it('refuse what cannot be true of a place', async () => {
    expect(
      (await refusal(runCommand('tell-place', jonas, { place: 'retarder', celsius: 85 }))).message,
    ).toMatch(/impossible for retarder: enter -8 to 25/);
    expect(
      (await refusal(runCommand('tell-place', jonas, { place: 'cellar', celsius: 12 }))).message,
    ).toMatch(/place does not exist/);
    expect((await refusal(runCommand('tell-place', jonas, { place: 'bakery' }))).message).toMatch(
      /such as 24 or 75 F/,
    );
  });

  it('move the waits of open doughs, and the plan follows when told, leaving all others where they are', async () => {
    const open = async () =>
      (await doughsDueFrom(house.pool, await houseNow(house.pool))).filter(
        (dough) => !stateOf(dough).finished,
      );
    await ok(runCommand('tell-place', jonas, { place: 'bakery', celsius: 33 }));
    const at = await houseNow(house.pool);
    const today = await conditions(house.pool, at);
    const off = (await open()).filter((dough) => windowMisses(forecastDough(dough, today, at)).length > 0);
    const [first] = off;
    if (!first) throw new Error('A hot morning moved nothing.');
    const others = (await open()).filter(({ id }) => id !== first.id);
    const answer = await ok<{ settled: boolean; moved: number }>(
      runCommand('follow-dough', jonas, { doughId: first.id }),
    );
    expect(answer.settled).toBe(true);
    expect(answer.moved).toBeGreaterThan(0);
    const after = await open();
    for (const other of others) {
      const now = after.find(({ id }) => id === other.id);
      expect(now?.steps.map(({ plannedStart }) => plannedStart)).toEqual(
        other.steps.map(({ plannedStart }) => plannedStart),
      );
    }
    expect((await refusal(runCommand('follow-dough', jonas, { doughId: 9999 }))).message).toMatch(
      /no longer in the plan/,
    );
  });
});
