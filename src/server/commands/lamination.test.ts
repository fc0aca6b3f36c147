import { inEnglish } from '../../../test-support/words';
import { stateOf } from '@/core/record/dough';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '@/core/bakery/people';
import type { FlatEvent, FloorEvent } from '@/core/record/events';
import { countTurns } from '@/core/record/turns';
import { usualScheme } from '../../../test-support/laminated';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import { houseNow } from '../store/clock';
import { doughCut } from '../store/cut-plan';
import { doughById, doughsDueFrom } from '../store/doughs';
import { dressingNeeds } from '../store/fillings';
import { currentProducts } from '../store/products';
import { rollingHouse } from '../store/rolling';
import { scrapStock } from '../store/scrap';
import { sharedBoard } from '../store/shared-board';
import { currentSchemes } from '../store/schemes';
import { doughsBehind } from '../store/schemes-behind';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let selma: Person;

beforeAll(async () => {
  house = await demoHouse();
  [mara, selma] = [house.person('Mara'), house.person('Selma')];
});
afterAll(() => house.close());

const done = <T>(name: string, person: Person, input: unknown): Promise<T> =>
  ok<T>(runCommand(name, person, input));
const refused = async (name: string, person: Person, input: unknown) =>
  (await refusal(runCommand(name, person, input))).message;

const schemeOf = async (name: string) => {
  const found = (await currentSchemes(house.pool)).find((one) => one.name === name);
  if (!found) throw new Error(`The house has no ${name}.`);
  return found;
};
const keep = (name: string, more: Record<string, unknown> = {}) => ({
  ...{ clientId: randomUUID(), from: null, name, scheme: usualScheme('Two book folds') },
  ...more,
});
/** The first dough of a name’s beginning that has no butter yet. */
async function waiting(kind: string) {
  const doughs = await doughsDueFrom(house.pool, await houseNow(house.pool));
  const found = doughs.find(
    (dough) => dough.name.startsWith(kind) && countTurns(dough.steps, stateOf(dough))?.done === 0,
  );
  if (!found) throw new Error(`No ${kind} waits for its butter.`);
  return found;
}
const record = (
  doughId: number,
  stepKey: string | null,
  kind: FloorEvent['kind'],
  more: Partial<FlatEvent> = {},
) => ({
  ...{ id: randomUUID(), doughId, stepKey, kind },
  ...more,
});
async function buttered(kind: string) {
  const dough = await waiting(kind);
  const state = stateOf(dough);
  for (const key of ['mix', 'degas', 'butter', 'butter-out', 'lock-in']) {
    if (state.steps.get(key)?.status !== 'open') continue;
    await done('record-event', selma, record(dough.id, key, 'start'));
    await done('record-event', selma, record(dough.id, key, 'finish'));
  }
  return dough;
}

describe('the board that all views share', () => {
  it('is worked out once for everybody in one minute, and anew after every act', async () => {
    const now = await houseNow(house.pool);
    const [first, again] = await Promise.all([
      sharedBoard(house.pool, now, 1),
      sharedBoard(house.pool, now, 1),
    ]);
    expect(again).toBe(first);
    const dough = await waiting('Crescent');
    await done('record-event', selma, record(dough.id, null, 'note', { text: 'for the market' }));
    const after = await sharedBoard(house.pool, now, 1);
    expect(after.doughs.find(({ id }) => id === dough.id)?.events.at(-1)).toMatchObject({
      text: 'for the market',
    });
    expect(await sharedBoard(house.pool, now + 60_000, 1)).not.toBe(after);
  });
});

describe('lamination schemes', () => {
  it('are kept once for one tap, by a planner, and never under a name that is taken', async () => {
    const input = keep('Warm days');
    const kept = await done<{ schemeId: number; version: number }>('save-scheme', mara, input);
    expect(await done('save-scheme', mara, input)).toEqual(kept);
    expect((await schemeOf('Warm days')).scheme).toEqual(usualScheme('Two book folds'));
    expect(await refused('save-scheme', mara, keep('warm DAYS'))).toBe(
      'There is already a scheme called Warm days.',
    );
    expect(await refused('save-scheme', selma, keep('Mine'))).toMatch(/cannot do this/);
  });

  it('that cannot be worked are refused in a sentence, and nothing is kept', async () => {
    const three = usualScheme('Three letter folds');
    const fifteen = {
      ...three,
      turns: Array(15).fill({ ...three.turns[0], fold: 'book' }) as typeof three.turns,
    };
    expect(await refused('save-scheme', mara, keep('Fifteen', { scheme: fifteen }))).toMatch(/at most 12/);
    const thin = { ...three, turns: [{ fold: 'letter', mm: 0.2, minutes: 8, rest: 45 }] };
    expect(await refused('save-scheme', mara, keep('Thin', { scheme: thin }))).toMatch(/1 mm to 40 mm/);
    const odd = { ...three, beginning: { way: 'magic' } };
    expect(await refused('save-scheme', mara, keep('Odd', { scheme: odd }))).toMatch(/how the butter gets/);
    const names = (await currentSchemes(house.pool)).map(({ name }) => name);
    expect(names).not.toEqual(expect.arrayContaining(['Fifteen']));
    expect(names.filter((name) => ['Fifteen', 'Thin', 'Odd'].includes(name))).toEqual([]);
  });

  it('in use stay; others go, and come back', async () => {
    const { schemeId } = await schemeOf('Three letter folds');
    expect(await refused('remove-scheme', mara, { schemeId })).toMatch(
      /^Three letter folds is in use: .* are laminated with it\./,
    );
    const free = await schemeOf('Two book folds');
    await done('remove-scheme', mara, { schemeId: free.schemeId });
    await expect(schemeOf('Two book folds')).rejects.toThrow();
    expect(await refused('remove-scheme', mara, { schemeId: free.schemeId })).toBe(
      'That scheme does not exist.',
    );
    await done('restore-scheme', mara, { schemeId: free.schemeId });
    expect((await schemeOf('Two book folds')).version).toBe(free.version);
  });

  it('that were changed meanwhile are not overwritten', async () => {
    const before = await schemeOf('Warm days');
    const change = (scheme: unknown) => keep('Warm days', { from: before.versionId, scheme });
    await done('save-scheme', mara, change(usualScheme('Letter, then book')));
    expect(await refused('save-scheme', mara, change(usualScheme('Book, then letter')))).toMatch(
      /another version meanwhile/,
    );
    expect((await schemeOf('Warm days')).version).toBe(2);
  });
});

describe('a product and its scheme', () => {
  it('has this scheme’s turns; its planned doughs follow when told to, with their steps, times and plan', async () => {
    const products = await currentProducts(house.pool);
    const danish = products.filter(({ doughName }) => doughName === 'Danish');
    const { schemeId } = await schemeOf('Four letter folds');
    const dough = await waiting('Danish 14');
    // What is done of it stays in its plan.
    const [first] = dough.steps.filter(({ step }) => step.work);
    const tap = { doughId: dough.id, stepKey: first?.key };
    await done('record-event', mara, { ...tap, id: randomUUID(), kind: 'start' });
    await done('record-event', mara, { ...tap, id: randomUUID(), kind: 'finish' });
    const productIds = danish.map(({ productId }) => productId);
    expect(
      (await done<{ products: string[] }>('choose-scheme', mara, { productIds, schemeId })).products,
    ).toHaveLength(2);
    expect((await doughById(house.pool, dough.id))?.steps.some(({ key }) => key === 'turn-4')).toBe(false);
    const behind = (await doughsBehind(house.pool, await houseNow(house.pool))).find(
      ({ id }) => id === dough.id,
    );
    expect(inEnglish(behind)).toMatchObject({ refused: null, to: 'Four letter folds (3-3-3-3)' });
    await done('relaminate-dough', mara, { doughId: dough.id });
    const after = await doughById(house.pool, dough.id);
    expect(after?.steps.map(({ key }) => key)).toContain(first?.key);
    const turns = after?.steps.filter(({ step }) => step.turn !== undefined) ?? [];
    expect(turns.map(({ key }) => key)).toEqual(['turn-1', 'turn-2', 'turn-3', 'turn-4']);
    turns
      .slice(1)
      .forEach((turn, i) => expect(turn.plannedStart).toBeGreaterThan(turns[i]?.plannedEnd ?? Infinity));
    expect(await refused('relaminate-dough', mara, { doughId: dough.id })).toMatch(
      /already has its products/,
    );
  });

  it('is refused to a product that is not laminated, and a dough that has its butter keeps its own', async () => {
    const products = await currentProducts(house.pool);
    const knot = products.find(({ name }) => name === 'Brioche knot');
    const { schemeId } = await schemeOf('Two book folds');
    expect(await refused('choose-scheme', mara, { productIds: [knot?.productId], schemeId })).toBe(
      'Brioche knot is not laminated.',
    );
    const dough = await buttered('Chocolate roll');
    const roll = products.filter(
      ({ formulaVersionId }) =>
        formulaVersionId === products.find(({ name }) => name === 'Chocolate roll')?.formulaVersionId,
    );
    await done('choose-scheme', mara, { productIds: roll.map(({ productId }) => productId), schemeId });
    expect(await refused('relaminate-dough', mara, { doughId: dough.id })).toMatch(/has its butter already/);
  });
});

describe('work that is recorded', () => {
  it('counts folds block by block, and refuses what no block can have', async () => {
    const dough = await buttered('Crescent');
    const folded = (data: object) =>
      record(dough.id, 'turn-1', 'turn', {
        data: {
          kind: 'turned',
          block: 1,
          folds: ['letter'],
          covers: 0,
          ends: false,
          ...data,
        } as FloorEvent['data'],
      });
    expect(await refused('record-event', selma, folded({}))).toMatch(/has not been started/);
    await done('record-event', selma, record(dough.id, 'turn-1', 'start'));
    expect(await refused('record-event', selma, folded({ block: 9 }))).toMatch(/has no block I/);
    expect(await refused('record-event', selma, folded({ folds: [] }))).toMatch(/Choose the folds/);
    expect(await refused('record-event', selma, { ...folded({}), stepKey: 'lock-in' })).toMatch(
      /is not a turn/,
    );
    await done('record-event', selma, folded({}));
    await done('record-event', selma, folded({ block: 2, ends: true }));
    const after = await doughById(house.pool, dough.id);
    const state = after && stateOf(after);
    expect(after && state && countTurns(after.steps, state, 2)).toMatchObject({
      done: 1,
      planned: 3,
      blocks: [1, 1],
    });
    expect(state?.steps.get('turn-1')?.status).toBe('done');
  });

  it('has a cut plan by its folds, and the fillings of the days by their totals', async () => {
    const dough = await waiting('Crescent').catch(() => waiting('Levain'));
    const cut = await doughCut(house.pool, dough, await rollingHouse(house.pool));
    expect(cut?.sheets).toBe(dough.lamination?.blocks);
    expect(cut?.pieces.length).toBe(dough.outputs.length);
    expect(cut?.sheet.width).toBeLessThanOrEqual(58);
    const needs = await dressingNeeds(house.pool, await houseNow(house.pool));
    expect(new Set(needs.map(({ part }) => part.name))).toContain('poppy filling');
    expect(needs.every(({ pieces }) => pieces > 0)).toBe(true);
  });

  it('keeps checks to waits that have begun, and weights to where a dough is divided', async () => {
    const dough = await waiting('Levain');
    const check = { kind: 'checked', check: 'bend', answer: 'snaps', minutes: 5 } as const;
    expect(
      await refused('record-event', selma, record(dough.id, 'temper', 'check', { data: check })),
    ).toMatch(/has not started/);
    expect(
      await refused('record-event', selma, record(dough.id, 'lock-in', 'check', { data: check })),
    ).toMatch(/not a wait/);
    const pieces = { kind: 'pieces', count: 10, grams: 602 } as const;
    expect(await refused('record-event', selma, record(dough.id, 'mix', 'weigh', { data: pieces }))).toMatch(
      /divides or cuts/,
    );
  });

  it('lets trimmings into another dough up to the house’s share, each gram once', async () => {
    const now = await houseNow(house.pool);
    const [from, into] = (await doughsDueFrom(house.pool, now)).filter(({ name }) =>
      /^(Crescent|Levain)/.test(name),
    );
    if (!from || !into) throw new Error('The demo has crescents.');
    const scrap = { kind: 'scrap', grams: 640, how: 'weighed', use: 'share' } as const;
    const heavy = { ...scrap, grams: 90_000 };
    expect(await refused('record-event', selma, record(from.id, 'sheet', 'scrap', { data: heavy }))).toMatch(
      /cannot be more/,
    );
    await done('record-event', selma, record(from.id, 'sheet', 'scrap', { data: scrap }));
    expect((await scrapStock(house.pool, now)).find(({ fromDough }) => fromDough === from.id)).toMatchObject({
      ...{ grams: 640, allergens: expect.arrayContaining(['gluten', 'milk']) as string[] },
    });
    const take = (grams: number, dough = into.id) =>
      record(dough, 'mix', 'scrap', { data: { kind: 'scrap-taken', from: from.id, grams } });
    expect(await refused('record-event', selma, take(100, from.id))).toMatch(/own trimmings/);
    expect(await refused('record-event', selma, take(5000))).toMatch(/^At most 640 g/);
    await done('record-event', selma, take(600));
    expect((await scrapStock(house.pool, now)).find(({ fromDough }) => fromDough === from.id)?.grams).toBe(
      40,
    );
    expect(await refused('record-event', selma, take(100))).toMatch(/At most 40 g/);
  });
});
