import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import type { FloorEvent } from '@/core/record/events';
import { type AtTablet, beginSession } from './at-tablet';
import {
  confirm,
  flush,
  idOf,
  keep,
  keepCall,
  onSent,
  type Outcome,
  unconfirmedOf,
  waitingCalls,
  waitingEvents,
} from './outbox';
import { allRefused, seen } from './refused';
import { lendWords } from './say-here';
import { say } from '../../../test-support/words';

lendWords(say);

const jonas: AtTablet = { id: 2, name: 'Jonas', role: 'baker', team: 'nights' };
const ida: AtTablet = { id: 3, name: 'Ida', role: 'baker', team: 'nights' };

interface Arrived {
  command: string;
  id: string;
  by: string;
  at?: number;
}
/** What the house has been sent and has answered. */
let arrived: Arrived[] = [];
/** How the house answers: not at all, with a status, or with something that is not its own. */
let answers: (id: string) => number | null | { foreign: unknown } = () => 200;

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
  vi.stubGlobal(
    'fetch',
    (path: string, { body, headers }: { body: string; headers: Record<string, string> }) => {
      const id = headers['idempotency-key'] ?? '';
      const status = answers(id);
      if (status === null) return Promise.reject(new TypeError('no line'));
      const { at } = JSON.parse(body) as { at?: number };
      const by = headers['x-recorded-by'] ?? '';
      arrived.push({ command: path.split('/').at(-1) ?? '', id, by, ...(at ? { at } : {}) });
      const own = status === 200 ? { ok: true, result: null, to: id } : null;
      const answer = typeof status === 'object' ? status.foreign : (own ?? { ...refusal(status), to: id });
      return Promise.resolve({ json: () => Promise.resolve(answer) });
    },
  );
  beginSession(jonas, 7, jonas);
});
afterEach(async () => {
  // Nothing of one test waits for the next, or is listed in it.
  await seen((await allRefused()).map(({ id }) => id));
  answers = () => 200;
  for (const who of [jonas, ida]) {
    beginSession(who, who.id === jonas.id ? 7 : 8, who);
    await confirm(who.id, who.id === jonas.id ? 7 : 8, []);
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
    expect(arrived).toEqual(taps.map(({ id, at }) => ({ command: 'record-event', id, by: '2/7', at })));
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
    expect(await allRefused()).toEqual([
      { id: bad.id, personId: jonas.id, at: bad.at, about: '', message: 'refused 422' },
    ]);
    await seen([bad.id]);
    expect(await allRefused()).toEqual([]);
  });

  it('that the house cannot do for ten minutes lets other doughs go first, and goes in the order of its own', async () => {
    const clock = vi.spyOn(Date, 'now');
    const [stuck, after, other] = [tap(), tap(), { ...tap(), doughId: 2 }];
    let broken = true;
    answers = (id) => (broken && id === stuck.id ? 500 : 200);
    for (const one of [stuck, after, other]) await keep(one);
    const stored = () => told.filter(({ answer }) => answer.ok).map(idOf);
    const told: Outcome[] = [];
    const stop = onSent((outcome) => told.push(outcome));
    await flush();
    expect(stored()).toEqual([]);
    clock.mockReturnValue(Date.now() + 11 * 60_000);
    await flush();
    expect(stored()).toEqual([other.id]);
    expect((await waitingEvents()).map(({ id }) => id)).toEqual([stuck.id, after.id]);
    broken = false;
    await flush();
    expect(stored()).toEqual([other.id, stuck.id, after.id]);
    stop();
    clock.mockRestore();
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
    beginSession(jonas, 7, ida);
    const [hers, his] = [tap(ida.id), tap(jonas.id)];
    await keep(hers);
    await keep(his);
    expect(ids()).toEqual([his.id]);
    expect((await waitingEvents()).map(({ id }) => id)).toEqual([hers.id]);
    beginSession(ida, 8, ida);
    await flush();
    expect(ids()).toEqual([his.id]);
    expect((await unconfirmedOf(ida.id)).map((one) => idOf(one))).toEqual([hers.id]);
    await confirm(ida.id, 8, []);
    await flush();
    expect(arrived.map(({ id, by }) => [id, by])).toEqual([
      [his.id, '2/7'],
      [hers.id, '3/8'],
    ]);
  });

  it('in an earlier session waits for the PIN of whoever recorded it, though they are back', async () => {
    answers = () => null;
    const one = tap();
    await keep(one);
    answers = () => 200;
    beginSession(jonas, 9, jonas);
    await flush();
    expect(ids()).toEqual([]);
    await confirm(jonas.id, 9, []);
    await flush();
    expect(arrived.at(-1)).toMatchObject({ id: one.id, by: '2/9', at: one.at });
    expect(await waitingEvents()).toEqual([]);
  });

  it('and waits for a PIN goes before what the same person records after it', async () => {
    answers = () => null;
    const [start, finish] = [tap(), tap()];
    await keep(start);
    answers = () => 200;
    beginSession(jonas, 9, jonas);
    await keep(finish);
    expect(ids()).toEqual([]);
    expect((await unconfirmedOf(jonas.id)).map((one) => idOf(one))).toEqual([start.id]);
    await confirm(jonas.id, 9, []);
    await flush();
    expect(ids()).toEqual([start.id, finish.id]);
  });

  it('and is not theirs, by the word of whose PIN it is, is not sent but listed', async () => {
    beginSession(jonas, 7, ida);
    const [hers, not] = [tap(ida.id), tap(ida.id)];
    await keep(hers);
    await keep(not);
    beginSession(ida, 8, ida);
    await confirm(ida.id, 8, [not.id]);
    await flush();
    expect(ids()).toEqual([hers.id]);
    expect((await allRefused()).map(({ id, personId }) => [id, personId])).toEqual([[not.id, ida.id]]);
  });

  it.each([
    ...[400, 403, 404, 408, 413, 429, 500, 502, 503, 504].map(
      (status) => [`status ${status}`, status] as const,
    ),
    ['a proxy’s own words', { foreign: { error: 'rate limited' } }] as const,
    ['somebody else’s success', { foreign: { ok: true, result: null } }] as const,
    ['another answer’s refusal', { foreign: { ...refusal(422), to: 'another' } }] as const,
    ['nothing', { foreign: null }] as const,
  ])('stays on the tablet whatever else comes back: %s', async (_, what) => {
    const outcomes: Outcome[] = [];
    const stop = onSent((outcome) => outcomes.push(outcome));
    answers = () => what;
    const taps = [tap(), tap(), tap()];
    for (const one of taps) await keep(one);
    expect((await waitingEvents()).map(({ id }) => id)).toEqual(taps.map(({ id }) => id));
    // The first holds the others back: the order of a tablet is kept.
    expect(new Set(ids())).toEqual(new Set([taps[0]?.id]));
    answers = () => 200;
    await flush();
    stop();
    expect(outcomes.map(({ answer }) => answer.ok)).toEqual([true, true, true]);
    expect(ids().slice(-3)).toEqual(taps.map(({ id }) => id));
    expect(await allRefused()).toEqual([]);
  });

  it('by one person under the eyes of another waits, however often it is refused as not theirs', async () => {
    answers = () => 409;
    const one = tap();
    await keep(one);
    await flush();
    expect((await waitingEvents()).map(({ id }) => id)).toEqual([one.id]);
    expect(await allRefused()).toEqual([]);
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
