import { type DoughRecord, stateOf } from '@/core/record/dough';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { forecastOf, ok, refusal } from '../../../test-support/house';
import type { EventData, FloorEvent } from '@/core/record/events';
import { MINUTE } from '@/core/time/local';
import { ovenDecks } from '../store/decks';
import { doughsDueFrom } from '../store/doughs';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
});
afterAll(() => house.close());

type Tell = (
  stepKey: string,
  kind: FloorEvent['kind'],
  more?: { at?: number; data?: EventData; undoes?: string },
) => { id: string; answer: ReturnType<typeof runCommand> };
type Load = Awaited<ReturnType<typeof inTheOven>>;
/** Loads that were brought into the oven and are there still. */
const inside: Load[] = [];

async function bothInTheOven(): Promise<[Load, Load]> {
  while (inside.length < 2) await inTheOven();
  return [inside[0] as Load, inside[1] as Load];
}

/** The load of the demo that is proofing now, brought into the oven. */
async function inTheOven(): Promise<{
  dough: DoughRecord;
  bake: DoughRecord['steps'][number];
  tell: Tell;
  begun: number;
}> {
  const now = await house.now();
  for (const dough of await doughsDueFrom(house.pool, now)) {
    const states = stateOf(dough).steps;
    const proof = dough.steps.find(
      ({ key, step }) => step.kind === 'proof' && states.get(key)?.status === 'running',
    );
    if (!proof) continue;
    const rest = dough.steps.filter(
      ({ outputId, load }) => outputId === proof.outputId && load?.nth === proof.load?.nth,
    );
    const tell: Tell = (stepKey, kind, more = {}) => {
      // In the order in which they are made: the clock stands still, and the later word counts.
      const id = uuidv7();
      return {
        id,
        answer: runCommand('record-event', house.person('Jonas'), {
          id,
          doughId: dough.id,
          stepKey,
          kind,
          ...more,
        }),
      };
    };
    for (const { key } of rest.filter(({ step }) => step.kind === 'wash' || step.kind === 'load')) {
      await ok(tell(key, 'start').answer);
      await ok(tell(key, 'finish').answer);
    }
    const bake = rest.find(({ step }) => step.kind === 'bake');
    if (!bake) throw new Error(`${dough.name} is not baked.`);
    const load = { dough, bake, tell, begun: now };
    inside.push(load);
    return load;
  }
  throw new Error('Nothing of the demo is proofing.');
}

describe('a load in the oven', () => {
  it('takes as long as its deck is known to, which is learnt from what bakes took and taken back by an undo', async () => {
    const { dough, bake, tell, begun } = await inTheOven();
    const target = async () => {
      const found = (await forecastOf(house.pool, dough.id)).steps.find(({ key }) => key === bake.key);
      return found?.target ?? 0;
    };
    const decks = async () => {
      const { oven } = await ovenDecks(house.pool);
      if (!oven) throw new Error('The house has no oven.');
      return oven;
    };
    const written = bake.step.wait?.best ?? 0;
    await ok(tell(bake.key, 'deck', { data: { kind: 'decks', decks: [1] } }).answer);
    const slow = await target();
    expect(slow).toBeGreaterThan(written);
    await ok(tell(bake.key, 'deck', { data: { kind: 'decks', decks: [3] } }).answer);
    expect(await target()).toBeLessThan(slow);

    const before = await decks();
    await house.later(30);
    const out = tell(bake.key, 'finish', { at: begun + Math.round(written * 1.3) * MINUTE });
    await ok(out.answer);
    const after = await decks();
    expect(after.each[2]?.bakes).toBe((before.each[2]?.bakes ?? 0) + 1);
    expect(after.each[2]?.ratio).toBeGreaterThan(before.each[2]?.ratio ?? 2);
    expect(after.whole.bakes).toBe(before.whole.bakes + 1);
    expect(after.each[0]).toEqual(before.each[0]);

    await ok(tell(bake.key, 'undo', { undoes: out.id }).answer);
    expect((await decks()).each).toEqual(before.each);
  });

  it('is on decks that the oven has, and nowhere else', async () => {
    const { tell, bake, dough } = await inTheOven();
    const on = (stepKey: string, decks: number[]) =>
      refusal(tell(stepKey, 'deck', { data: { kind: 'decks', decks } }).answer);
    expect((await on(bake.key, [4])).message).toBe('The oven has 3 decks.');
    expect((await on(bake.key, [])).message).toContain('Choose the decks.');
    const mix = dough.steps.find(({ step }) => step.kind === 'mix');
    expect((await on(mix?.key ?? '', [1])).message).toBe('Mix is not in the oven.');
  });

  it('is not on a deck that another load fills: the refusal names what is there', async () => {
    const [{ tell, bake, dough }, second] = await bothInTheOven();
    await ok(tell(bake.key, 'deck', { data: { kind: 'decks', decks: [1, 2, 3] } }).answer);
    const crowded = await refusal(
      second.tell(second.bake.key, 'deck', { data: { kind: 'decks', decks: [2] } }).answer,
    );
    expect(crowded.message).toContain(`Deck 2 is full: ${dough.name} is on it.`);
    expect(crowded.field).toBe('data.decks');
    await ok(tell(bake.key, 'deck', { data: { kind: 'decks', decks: [1] } }).answer);
    await ok(second.tell(second.bake.key, 'deck', { data: { kind: 'decks', decks: [2] } }).answer);
  });
});
