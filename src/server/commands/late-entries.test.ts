import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import type { Person } from '@/core/bakery/people';
import { forecastDough } from '@/core/forecast/forecast';
import type { Recording } from '@/core/record/events';
import { isLongOver, unrecorded } from '@/core/shopfloor/catch-up';
import { entriesOf } from '@/core/shopfloor/catch-up-entries';
import { conditionsOf } from '@/core/wire/board';
import { write } from '../db/rows';
import { board } from '../store/board';
import { doorsOpened } from '../store/doors';
import { orderBook } from '../store/orders';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let jonas: Person;
beforeAll(async () => {
  house = await demoHouse();
  jonas = house.person('Jonas');
}, 240_000);
afterAll(() => house.close());

const HOUR = 3_600_000;
const later = (hours: number) =>
  write(house.pool, 'UPDATE demo_clock SET shown_at = DATE_ADD(shown_at, INTERVAL ? MINUTE)', [hours * 60]);
const record = (recording: Recording, at?: number, who = jonas) =>
  runCommand('record-event', who, { id: uuidv7(), ...recording, ...(at === undefined ? {} : { at }) });

/** All doughs as the floor's screens forecast them now. */
async function floor() {
  const now = await house.now();
  const shown = await board(house.pool, now, 1);
  return { now, doughs: shown.doughs.map((dough) => forecastDough(dough, conditionsOf(shown), now)) };
}
const leftIn = ({ now, doughs }: Awaited<ReturnType<typeof floor>>) =>
  doughs.flatMap((dough) => unrecorded(dough, now).map((one) => ({ dough, one })));

describe('what is entered afterwards', () => {
  it('is taken as it is offered, step by step, until nothing is left that should be over', async () => {
    await later(2);
    const before = await floor();
    const left = leftIn(before);
    expect(left.length).toBeGreaterThan(4);
    for (const { dough, one } of left)
      for (const { recording, at } of entriesOf(dough, one)) await ok(record(recording, at));
    const after = await floor();
    expect(leftIn(after)).toEqual([]);
    for (const { dough, one } of left) {
      const state = after.doughs.find(({ id }) => id === dough.id)?.state.steps.get(one.step.key);
      expect(state).toMatchObject({ status: 'done', finishedAt: one.end });
      // It is marked as entered later.
      expect(state?.enteredAt).toBe(before.now);
    }
  });

  it('cannot have begun before what leads to it was over', async () => {
    await later(3);
    const { doughs } = await floor();
    const [behind] = doughs.flatMap((dough) =>
      dough.steps
        .filter(({ key }) => dough.state.steps.get(key)?.startable)
        .flatMap((step) => {
          const before = dough.links.find(({ to }) => to === step.key)?.from ?? '';
          const state = dough.state.steps.get(before);
          const over = state?.finishedAt ?? state?.startedAt;
          return over ? [{ dough, step, over }] : [];
        }),
    );
    if (!behind) throw new Error('Something waits for its next step.');
    const start = { doughId: behind.dough.id, stepKey: behind.step.key, kind: 'start' as const };
    const early = await refusal(record(start, behind.over - HOUR));
    expect(early.field).toBe('at');
    expect(early.message).toMatch(/cannot start before .* is finished/);
    await ok(record(start, behind.over + 60_000));
  });

  it('ends a dough of which nobody knows how it went: once, by who may, and taken back where it was wrong', async () => {
    await later(30);
    const { now, doughs } = await floor();
    const over = doughs.find((dough) => isLongOver(dough, now - 12 * HOUR));
    if (!over) throw new Error('Some dough is long over.');
    const close = { doughId: over.id, stepKey: null, kind: 'close' as const };
    expect((await refusal(record(close, undefined, { ...jonas, role: 'helper' }))).message).toMatch(
      /is a helper and cannot/,
    );
    const id = uuidv7();
    await ok(runCommand('record-event', jonas, { id, ...close }));
    const closed = (await floor()).doughs.find((dough) => dough.id === over.id);
    expect([closed?.state.finished, closed?.state.closed?.personId]).toEqual([true, jonas.id]);
    expect((await refusal(record(close))).message).toMatch(/is already finished/);
    await ok(record({ doughId: over.id, stepKey: null, kind: 'undo', undoes: id }));
    expect((await floor()).doughs.find((dough) => dough.id === over.id)?.state.finished).toBe(false);
  });

  it('of pieces that were bagged puts them into stock, and opens their orders; more than there are is refused', async () => {
    const { doughs } = await floor();
    const found = doughs.flatMap((dough) =>
      dough.steps
        .filter(({ step, load }) => step.kind === 'shape' && (load?.pieces ?? 0) >= 60)
        .filter(({ key }) => dough.state.steps.get(key)?.status === 'open')
        .map((step) => ({ dough, step })),
    );
    const [shape] = found;
    if (!shape) throw new Error('Something is shaped today.');
    const bag = (pieces: number) =>
      record({
        ...{ doughId: shape.dough.id, stepKey: shape.step.key, kind: 'bag' },
        data: { kind: 'frozen', pieces },
      });
    const book = async () => orderBook(house.pool, await house.now());
    const before = await book();
    const openIn = ({ demand }: typeof before) => demand.reduce((sum, { open }) => sum + open, 0);
    const most = shape.step.load?.pieces ?? 0;
    expect((await refusal(bag(most + 1))).field).toBe('data.pieces');
    await ok(bag(60));
    const after = await book();
    const pieces = (of: typeof before) =>
      of.stock.filter(({ kind }) => kind === 'pieces').reduce((sum, { amount }) => sum + amount, 0);
    expect(pieces(after) - pieces(before)).toBe(60);
    expect(openIn(after)).toBeGreaterThanOrEqual(openIn(before));
    await ok(bag(0));
    expect(pieces(await book())).toBe(pieces(before));
    const mix = shape.dough.steps.find(({ step }) => step.kind === 'mix');
    if (mix)
      expect(
        (
          await refusal(
            record({
              ...{ doughId: shape.dough.id, stepKey: mix.key, kind: 'bag' },
              data: { kind: 'frozen', pieces: 1 },
            }),
          )
        ).message,
      ).toMatch(/no pieces to freeze/);
  });

  it('is offered at the time at which a probe saw the door', async () => {
    const now = await house.now();
    const minute = (back: number) => new Date(now - back * 60_000);
    const calm = Array.from({ length: 12 }, (_, i) => 26.3 + (i % 2) / 10);
    const read = [...calm, 25.5, 25.9, 26.2];
    for (const [i, celsius] of read.entries())
      await write(
        house.pool,
        `INSERT INTO place_reading (place, celsius, at, source) VALUES ('proofer', ?, ?, 'probe')`,
        [celsius, minute(18 - i)],
      );
    const doors = (await doorsOpened(house.pool, now)).filter(({ place }) => place === 'proofer');
    expect(doors.map(({ at }) => Math.round((now - at) / 60_000))).toContain(6);
  });

  it('is possible of a dough that was due days ago: the floor sees it until somebody says that it is over', async () => {
    await later(4 * 24);
    const { now, doughs } = await floor();
    const open = doughs.filter(({ state }) => !state.finished);
    const old = open.filter((dough) => isLongOver(dough, now - 48 * HOUR));
    expect(old.length).toBeGreaterThan(0);
    for (const { id } of old) await ok(record({ doughId: id, stepKey: null, kind: 'close' }));
    const left = (await floor()).doughs.map(({ id }) => id);
    expect(old.filter(({ id }) => left.includes(id))).toEqual([]);
  });
});
