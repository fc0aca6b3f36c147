import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { did, forecastAt, MIN, plannedDough, plannedRecord } from '../../../test-support/floor';
import { eventOf, type FloorEvent } from '../record/events';
import { entriesOf } from './catch-up-entries';
import { hasStopped, isLongOver, lastRecorded, unrecorded } from './catch-up';

const MIXED = [did('start', 'mix', 0), did('finish', 'mix', 15)];
const at = (minute: number, events: FloorEvent[] = []) => forecastAt(plannedRecord(events), minute);
const keysOf = (found: ReturnType<typeof unrecorded>) => found.map(({ step }) => step.key);
const lastEnd = () => Math.max(...plannedRecord([]).steps.map(({ plannedEnd }) => plannedEnd)) / MIN;

/** What was entered, as it would be recorded. */
function entered(found: ReturnType<typeof unrecorded>, dough: ReturnType<typeof at>): FloorEvent[] {
  return found
    .flatMap((one) => entriesOf(dough, one))
    .map(({ recording, at: when }, i) =>
      eventOf({
        ...{ celsius: null, text: null, undoes: null, data: null },
        ...recording,
        ...{ id: `late${String(i).padStart(4, '0')}`, at: when, personId: 2, receivedAt: 9_000 * MIN },
      }),
    );
}

describe('what should be over and is not recorded', () => {
  it('is offered as it was planned, in the order of the route, up to now and no further', () => {
    const found = unrecorded(at(200, MIXED), 200 * MIN);
    const { steps } = plannedRecord([]);
    for (const { step, start, end, basis } of found) {
      const planned = steps.find(({ key }) => key === step.key);
      expect(start).toBeGreaterThanOrEqual(planned?.plannedStart ?? 0);
      expect(end).toBeLessThanOrEqual(200 * MIN);
      expect(basis).toBe('plan');
    }
    expect(keysOf(found)).not.toContain('mix');
  });

  it('is nothing while a dough keeps time', () => {
    expect(unrecorded(at(16, MIXED), 16 * MIN)).toEqual([]);
  });

  it('ends a step that was begun, and never before it was', () => {
    const begun = [did('start', 'mix', 30)];
    const [mix] = unrecorded(at(120, begun), 120 * MIN);
    expect(mix).toMatchObject({ isRunning: true, start: 30 * MIN });
    expect(mix?.end).toBeGreaterThan(30 * MIN);
  });

  it('was over before something that was recorded of a later step', () => {
    const probe = did('temperature', 'retard', 10, { celsius: 24 });
    const [mix] = unrecorded(at(120, [probe]), 120 * MIN);
    expect(mix).toMatchObject({ end: 10 * MIN, basis: 'later' });
  });

  it('is at the door’s opening where a probe saw one near its time', () => {
    const { links, steps } = plannedRecord([]);
    const shelved = { ...at(400), steps: at(400).steps.map((step) => ({ ...step, place: 'proofer' })) };
    const [into] = unrecorded(shelved, 400 * MIN);
    expect(links.some(({ from }) => from === into?.step.key) && steps.length > 0).toBe(true);
    const door = { place: 'proofer', at: (into?.end ?? 0) + 7 * MIN };
    const seen = unrecorded(shelved, 400 * MIN, { doors: [door, { ...door, at: door.at + 90 * MIN }] });
    expect(seen.find(({ step }) => step.key === into?.step.key)).toMatchObject({
      ...{ end: door.at, basis: 'probe' },
    });
  });

  it('is when the core probe came out of the wait before it', () => {
    const probed = [
      ...[did('start', 'mix', 0), did('finish', 'mix', 15)],
      did('probe', 'retard', 20, { data: { kind: 'probed', probe: 'core-1' } }),
    ];
    const now = lastEnd() + 60;
    const lockIn = (doors: { place: string; at: number }[]) =>
      unrecorded(at(now, probed), now * MIN, { doors }).find(({ step }) => step.key === 'lock-in');
    const out = (lockIn([])?.end ?? NaN) + 5 * MIN;
    expect(lockIn([{ place: 'core-2', at: out }])?.basis).toBe('plan');
    expect(lockIn([{ place: 'core-1', at: out }])).toMatchObject({ end: out, basis: 'probe' });
  });

  it('moves with a time that is entered, and says where that cannot be', () => {
    const now = lastEnd() + 60;
    const offered = unrecorded(at(now), now * MIN);
    const [first] = offered;
    const behind = offered.at(-1);
    const ends = new Map([[first?.step.key ?? '', (first?.end ?? 0) + 500 * MIN]]);
    const moved = unrecorded(at(now + 600), (now + 600) * MIN, { ends });
    expect(moved[0]).toMatchObject({ basis: 'entered', isTooEarly: false });
    const after = moved.find(({ step }) => step.key === behind?.step.key);
    expect(after?.start).toBeGreaterThan(behind?.start ?? Infinity);
    const early = new Map([[behind?.step.key ?? '', (first?.start ?? 0) - MIN]]);
    const wrong = unrecorded(at(now), now * MIN, { ends: early });
    expect(wrong.find(({ step }) => step.key === behind?.step.key)?.isTooEarly).toBe(true);
  });

  it('ends with what was not done: nothing behind it is offered', () => {
    const now = lastEnd() + 60;
    const all = unrecorded(at(now), now * MIN);
    const left = all[1]?.step.key ?? '';
    const found = unrecorded(at(now), now * MIN, { without: new Set([left]) });
    expect(keysOf(found)).toContain(all[0]?.step.key);
    expect(keysOf(found)).not.toContain(left);
    expect(found.length).toBeLessThan(all.length - 1);
  });

  it('recorded as offered leaves nothing that should be over, whenever it is caught up', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2400 }), fc.integer({ min: 0, max: 3 }), (minute, begun) => {
        const events = [
          [],
          [did('start', 'mix', 0)],
          MIXED,
          [...MIXED, did('temperature', 'retard', 40, { celsius: 9 })],
        ][begun] as FloorEvent[];
        const dough = at(minute, events);
        const found = unrecorded(dough, minute * MIN);
        const after = at(minute, [...events, ...entered(found, dough)]);
        expect(unrecorded(after, minute * MIN)).toEqual([]);
        for (const { step, end } of found) {
          const state = after.state.steps.get(step.key);
          expect([state?.status, state?.finishedAt]).toEqual(['done', end]);
          expect(state?.enteredAt).toBe(9_000 * MIN);
        }
      }),
    );
  });
});

describe('a dough of which the record has stopped', () => {
  it('has had something due for longer than that, and nothing recorded since', () => {
    const due = unrecorded(at(lastEnd(), MIXED), lastEnd() * MIN)[0]?.end ?? 0;
    const soon = due / MIN;
    expect(hasStopped(at(soon + 44, MIXED), (soon + 44) * MIN, 45)).toBe(false);
    expect(hasStopped(at(soon + 46, MIXED), (soon + 46) * MIN, 45)).toBe(true);
    const looked = [...MIXED, did('temperature', 'retard', soon + 20, { celsius: 6 })];
    expect(hasStopped(at(soon + 46, looked), (soon + 46) * MIN, 45)).toBe(false);
  });

  it('is long over when all of it was planned to be', () => {
    const end = lastEnd();
    expect(isLongOver(at(end + 1, MIXED), (end + 1) * MIN)).toBe(true);
    expect(isLongOver(at(end + 1, MIXED), (end - 1) * MIN)).toBe(false);
  });

  it('ends when it is closed: nothing of it is open, and what was done stays done', () => {
    const close = eventOf({
      ...{ id: 'close1', doughId: 1, stepKey: null, kind: 'close', at: 3000 * MIN, personId: 2 },
      ...{ celsius: null, text: null, undoes: null, data: null },
    });
    const { state } = plannedDough([...MIXED, close]);
    expect([state.finished, state.closed]).toEqual([true, { at: 3000 * MIN, personId: 2 }]);
    expect(state.steps.get('mix')?.status).toBe('done');
    const rest = [...state.steps.values()].filter(({ key }) => key !== 'mix');
    expect(rest.every(({ status, isEndedWithDough }) => status === 'skipped' && isEndedWithDough)).toBe(true);
  });

  it('was last heard of when anything of it was recorded', () => {
    expect(lastRecorded(at(20))).toBeNull();
    expect(lastRecorded(at(20, MIXED))).toBe(15 * MIN);
    expect(lastRecorded(at(90, [...MIXED, did('note', 'mix', 80, { text: 'soft' })]))).toBe(15 * MIN);
  });
});
