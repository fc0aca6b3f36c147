import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import type { FloorEvent } from '@/core/floor/events';
import { beginSession, type AtTablet } from './at-tablet';
import { flush, keep, keepCall, onSent, waitingCalls, waitingEvents, type Outcome } from './outbox';

const jonas: AtTablet = { id: 2, name: 'Jonas', role: 'baker', team: 'nights' };
const ida: AtTablet = { id: 3, name: 'Ida', role: 'baker', team: 'nights' };

interface Arrived {
  command: string;
  id: string;
  at?: number;
}
/** What the house has been sent and has answered. */
let arrived: Arrived[] = [];
/** How the house answers: not at all, or with a status. */
let answers: () => number | null = () => 200;

const refusal = (status: number) => ({
  ok: false,
  status,
  message: `refused ${status}`,
  field: null,
  offer: null,
});

beforeEach(() => {
  arrived = [];
  answers = () => 200;
  vi.stubGlobal('fetch', (path: string, { body }: { body: string }) => {
    const status = answers();
    if (status === null) return Promise.reject(new TypeError('no line'));
    const { id, alarm, at } = JSON.parse(body) as { id?: string; alarm?: string; at?: number };
    arrived.push({ command: path.split('/').at(-1) ?? '', id: id ?? alarm ?? '', ...(at ? { at } : {}) });
    const answer = status === 200 ? { ok: true, result: null } : refusal(status);
    return Promise.resolve({ json: () => Promise.resolve(answer) });
  });
  beginSession(jonas, jonas);
});
afterEach(async () => {
  // Nothing of one test waits for the next.
  answers = () => 200;
  for (const who of [jonas, ida]) {
    beginSession(who, who);
    await flush();
  }
  vi.unstubAllGlobals();
});

const tap = (personId = jonas.id, at = 1000): FloorEvent => ({
  ...{ id: uuidv7(), doughId: 1, stepKey: 'mix', kind: 'start', at, personId },
  ...{ celsius: null, text: null, undoes: null, data: null },
});
const ids = () => arrived.map(({ id }) => id);

describe('what is recorded', () => {
  it('is sent at once and in order, and forgotten when it has arrived', async () => {
    const taps = [tap(), tap(), tap()];
    for (const one of taps) await keep(one);
    expect(ids()).toEqual(taps.map(({ id }) => id));
    expect(arrived.every(({ at }) => at === undefined)).toBe(true);
    expect(await waitingEvents()).toEqual([]);
  });

  it('waits while nobody answers, and is sent later with the time at which it was recorded', async () => {
    answers = () => null;
    const taps = [tap(jonas.id, 1000), tap(jonas.id, 2000)];
    for (const one of taps) await keep(one);
    expect((await waitingEvents()).map(({ id }) => id)).toEqual(taps.map(({ id }) => id));
    answers = () => 200;
    await flush();
    expect(arrived).toEqual(taps.map(({ id, at }) => ({ command: 'record-event', id, at })));
    expect(await waitingEvents()).toEqual([]);
  });

  it('that is refused is given up with its sentence, and does not hold up what comes after it', async () => {
    const outcomes: Outcome[] = [];
    const stop = onSent((outcome) => outcomes.push(outcome));
    const [bad, good] = [tap(), tap()];
    answers = () => 422;
    await keep(bad);
    answers = () => 200;
    await keep(good);
    stop();
    expect(outcomes.map(({ answer }) => answer.ok)).toEqual([false, true]);
    expect(await waitingEvents()).toEqual([]);
  });

  it('waits on when the session has ended meanwhile, and nobody loses it by that', async () => {
    answers = () => null;
    const one = tap();
    await keep(one);
    answers = () => 401;
    await flush();
    expect(await waitingEvents()).toHaveLength(1);
    answers = () => 200;
    await flush();
    expect(ids().filter((id) => id === one.id)).toHaveLength(2);
    expect(await waitingEvents()).toEqual([]);
  });

  it('by somebody else waits for their PIN, and is not sent in another’s name', async () => {
    beginSession(jonas, ida);
    const [hers, his] = [tap(ida.id), tap(jonas.id)];
    await keep(hers);
    await keep(his);
    expect(ids()).toEqual([his.id]);
    expect((await waitingEvents()).map(({ id }) => id)).toEqual([hers.id]);
    beginSession(ida, ida);
    await flush();
    expect(ids()).toEqual([his.id, hers.id]);
  });

  it('keeps the order of taps and calls among each other', async () => {
    answers = () => null;
    const first = tap();
    await keep(first);
    keepCall({ name: 'take-alarm', input: { alarm: 'wash/1/x' }, personId: jonas.id, at: 1500 });
    await vi.waitFor(async () => expect(await waitingCalls()).toHaveLength(1));
    const last = tap(jonas.id, 2000);
    await keep(last);
    answers = () => 200;
    await flush();
    expect(arrived.map(({ command, at }) => [command, at])).toEqual([
      ['record-event', 1000],
      ['take-alarm', 1500],
      ['record-event', 2000],
    ]);
  });

  it('arrives in order and is answered once, however often the line comes and goes', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('tap', 'down', 'up', 'flush'), { minLength: 1, maxLength: 25 }),
        async (acts) => {
          arrived = [];
          answers = () => 200;
          const taps: string[] = [];
          for (const act of acts) {
            if (act === 'down') answers = () => null;
            if (act === 'up') answers = () => 200;
            if (act === 'flush') await flush();
            if (act !== 'tap') continue;
            const one = tap();
            taps.push(one.id);
            await keep(one);
          }
          answers = () => 200;
          await flush();
          expect(ids()).toEqual(taps);
          expect(await waitingEvents()).toEqual([]);
        },
      ),
      { numRuns: 40 },
    );
  });
});
