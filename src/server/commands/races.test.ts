import { stateOf } from '@/core/record/dough';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { say } from '../../../test-support/words';
import { v4 as uuid, v7 as uuidv7 } from 'uuid';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import type { Person } from '@/core/bakery/people';
import type { Proposal } from '@/core/schedule/proposal';
import { clashes } from '@/core/solver/clashes';
import { MINUTE } from '@/core/time/local';
import { planningPool } from '../db/pool';
import { rowsOf, write } from '../db/rows';
import { endPlanner, planInThread } from '../planner';
import { doughById } from '../store/doughs';
import { newestPlan } from '../store/planned-steps';
import { readWholePlan } from '../store/whole-problem';
import { searching } from '../searching';
import { Refusal } from './command';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let jonas: Person;
beforeAll(async () => {
  house = await demoHouse();
  [mara, jonas] = [house.person('Mara'), house.person('Jonas')];
}, 120_000);
afterAll(() => house.close());

const add = (pieces: number, due = '2026-11-24T09:00') =>
  runCommand('add-dough', mara, { clientId: uuid(), outputs: [{ productId: 1, pieces, due }] });

/** Pins the next step of a dough where it is: an act that takes a moment and makes a new version. */
async function act(): Promise<void> {
  const dough = await doughById(house.pool, 10);
  const open = dough?.steps.find(({ key }) => stateOf(dough).steps.get(key)?.status === 'open');
  const basis = await newestPlan(house.pool);
  await ok(runCommand('pin-step', mara, { doughId: 10, key: open?.key, pinned: !open?.pinned, basis }));
}

async function expectSound() {
  const { problem, present } = await readWholePlan(house.pool, await house.now());
  expect(clashes(problem, present).filter(({ rule }) => rule === 'too-much')).toEqual([]);
}

/** Waits for the moment at which a search has begun in this house. */
async function begun(): Promise<void> {
  await expect
    .poll(async () => {
      const [row] = await rowsOf<{ on: number }>(
        house.pool,
        'SELECT until_at > UTC_TIMESTAMP(3) AS `on` FROM search_lease',
      );
      return row?.on;
    })
    .toBe(1);
}

describe('a plan that was worked out while another came to stand', () => {
  it('is worked out anew: what is proposed in the end fits the plan that stands', async () => {
    const mend = ok<{ proposal: Proposal }>(runCommand('propose-mend', jonas, { seconds: 1.5 }));
    await begun();
    await act();
    const { proposal } = await mend;
    expect(proposal.basis).toBe(await newestPlan(house.pool));
    await ok(runCommand('accept-proposal', mara, { id: proposal.id }));
    await expectSound();
  });

  it('is never accepted once another stands', async () => {
    const { proposal } = await ok<{ proposal: Proposal }>(
      runCommand('propose-mend', jonas, { seconds: 0.3 }),
    );
    await act();
    expect((await refusal(runCommand('accept-proposal', mara, { id: proposal.id }))).message).toMatch(
      /The plan has changed since/,
    );
  });

  it('does not pass by itself over what was begun since, where small shifts pass', async () => {
    await write(house.pool, "UPDATE house_value SET value = 600 WHERE name = 'pass_shift_minutes'", []);
    const mend = ok<{ proposal: Proposal; passed: boolean }>(
      runCommand('propose-mend', jonas, { seconds: 1.5 }),
    );
    await begun();
    await act();
    const before = await newestPlan(house.pool);
    const { proposal, passed } = await mend;
    expect(proposal.basis).toBeGreaterThanOrEqual(before);
    if (passed) expect(await newestPlan(house.pool)).toBe(proposal.basis + 1);
    await expectSound();
    await write(house.pool, "UPDATE house_value SET value = 0 WHERE name = 'pass_shift_minutes'", []);
  });

  it('is added amid what came meanwhile: two doughs at once both stand, and nothing is given twice', async () => {
    const before = await newestPlan(house.pool);
    const made = await Promise.all([
      ok<{ id: number; name: string }>(add(60)),
      ok<{ id: number; name: string }>(add(61)),
      ok<{ id: number; name: string }>(add(62)),
    ]);
    expect(new Set(made.map(({ name }) => name)).size).toBe(3);
    expect(await newestPlan(house.pool)).toBe(before + 3);
    await expectSound();
  });
});

/** Searches that the planner's thread of this process is at. */
const inThread = () =>
  (globalThis as { hefeteigPlanner?: { waiting: Map<number, unknown> } }).hefeteigPlanner?.waiting.size ?? 0;

describe('a search', () => {
  /** Connections that the pool has, and those that nobody holds: it tells them nowhere else. */
  const connections = (which: '_allConnections' | '_freeConnections') =>
    Reflect.get(planningPool().pool, which) as { length: number };

  it('holds no connection and no lock while it looks, ten of them neither', async () => {
    const mends = Array.from({ length: 10 }, () => runCommand('propose-mend', jonas, { seconds: 0.4 }));
    await begun();
    const [all, free] = [connections('_allConnections'), connections('_freeConnections')];
    // While one of them looks, and not only after the last.
    await expect.poll(() => [inThread(), all.length - free.length]).toEqual([1, 0]);
    // The floor and the house's own row are free.
    const began = performance.now();
    await ok(
      runCommand('record-event', jonas, {
        ...{ id: uuidv7(), doughId: 5, stepKey: null, kind: 'note', text: 'while ten search' },
      }),
    );
    await house.pool.query('SELECT id FROM house FOR UPDATE NOWAIT');
    expect(performance.now() - began).toBeGreaterThan(0);
    const answers = await Promise.all(mends);
    expect(answers.filter(({ ok: done }) => done).length).toBeGreaterThan(0);
  }, 120_000);

  it('runs alone, the others are told how many are before them, and come to it in their order', async () => {
    let running = 0;
    let most = 0;
    const order: number[] = [];
    const told: number[][] = [];
    const wait = (i: number) =>
      searching(
        {
          ...{ db: house.pool, person: jonas },
          live: {
            onBetter: () => undefined,
            onQueue: (before) => (told[i] ??= []).push(before),
            signal: new AbortController().signal,
          },
        },
        async () => {
          most = Math.max(most, ++running);
          order.push(i);
          await new Promise((done) => setTimeout(done, 40));
          running--;
        },
      );
    await Promise.all([0, 1, 2, 3].map(wait));
    expect(most).toBe(1);
    expect(order).toEqual([0, 1, 2, 3]);
    expect(told[3]?.[0]).toBe(3);
    expect(told[3]?.at(-1)).toBe(0);
  });

  it('waits for one of another process, and takes over from one that has died', async () => {
    await write(
      house.pool,
      "UPDATE search_lease SET holder = 'other', person = 'Mara', until_at = UTC_TIMESTAMP(3) + INTERVAL 1 SECOND",
      [],
    );
    const found = vi.fn();
    const search = searching({ db: house.pool, person: jonas }, () => {
      found();
      return Promise.resolve();
    });
    await new Promise((done) => setTimeout(done, 300));
    expect(found).not.toHaveBeenCalled();
    await search;
    expect(found).toHaveBeenCalledOnce();
  });

  it('sends away whom it cannot serve, in a sentence, when too many wait', async () => {
    let release = () => {};
    const held = new Promise<void>((done) => (release = done));
    const context = { db: house.pool, person: jonas };
    const searches = Array.from({ length: 14 }, () =>
      searching(context, () => held).catch((error: unknown) => error),
    );
    await new Promise((done) => setTimeout(done, 50));
    release();
    const outcomes = await Promise.all(searches);
    const away = outcomes.filter((one) => one instanceof Refusal);
    expect(away).toHaveLength(1);
    const words = away[0]?.words;
    expect(typeof words === 'object' && say.coded(words)).toMatch(/Try again in a moment/);
  });

  it('that dies is said to have done so, and the next one has a new thread', async () => {
    const mend = refusal(runCommand('propose-mend', jonas, { seconds: 20 }));
    // Not before its thread has it.
    await expect.poll(inThread).toBe(1);
    await endPlanner();
    expect((await mend).message).toMatch(/interrupted; nothing was changed/);
    await ok(runCommand('propose-mend', jonas, { seconds: 0.2 }));
  });

  it('that hangs is given up, and the thread replaced', async () => {
    const { problem } = await readWholePlan(house.pool, await house.now());
    // A thread that reads no messages any more: its clock stands still for it.
    vi.useFakeTimers({ toFake: ['setTimeout'] });
    const hanging = planInThread(problem, { seconds: 600 });
    const lost = expect(hanging).rejects.toThrow(/ended/);
    await vi.advanceTimersByTimeAsync(700_000);
    vi.useRealTimers();
    await lost;
    expect((await planInThread(problem, { seconds: 10 }))?.plan.status).toBe('feasible');
  });
});

describe('following a dough', () => {
  it('is one act with one undo, however many rounds it took', async () => {
    await ok(runCommand('tell-place', jonas, { place: 'bakery', celsius: 34 }));
    const doughs = [9, 10, 11, 8, 7];
    for (const doughId of doughs) {
      const before = await newestPlan(house.pool);
      const times = (await doughById(house.pool, doughId))?.steps.map(({ plannedStart }) => plannedStart);
      const { moved } = await ok<{ moved: number }>(runCommand('follow-dough', jonas, { doughId }));
      expect(await newestPlan(house.pool)).toBe(before + Number(moved > 0));
      if (moved === 0) continue;
      await ok(runCommand('undo-plan', mara, {}));
      expect((await doughById(house.pool, doughId))?.steps.map(({ plannedStart }) => plannedStart)).toEqual(
        times,
      );
      return;
    }
    throw new Error('No dough had to follow a bakery of 34 °C.');
  });
});

describe('a planning act', () => {
  it('writes what it changes and nothing else', async () => {
    const count = async () =>
      (await rowsOf<{ n: number }>(house.pool, 'SELECT COUNT(*) AS n FROM planned_step'))[0]?.n ?? 0;
    const before = await count();
    await act();
    expect(await count()).toBe(before + 1);
    await act();
    expect(await count()).toBe(before + 2);
  });
});

describe('a plan for one dough', () => {
  it('is not written over what was tapped on it during the search', async () => {
    const { id } = await ok<{ id: number }>(add(64, '2026-11-21T09:00'));
    const dough = await doughById(house.pool, id);
    const [first] = dough?.steps.filter(({ step }) => step.work) ?? [];
    await house.later(Math.ceil(((first?.plannedStart ?? 0) - (await house.now())) / MINUTE));
    const moved = runCommand('move-step', mara, {
      ...{ doughId: id, key: first?.key, start: (first?.plannedStart ?? 0) + 30 * MINUTE, whole: true },
      basis: await newestPlan(house.pool),
    });
    const tap = ok(
      runCommand('record-event', jonas, { id: uuidv7(), doughId: id, stepKey: first?.key, kind: 'start' }),
    );
    const [answer] = await Promise.all([moved, tap]);
    const after = await doughById(house.pool, id);
    const stands = after?.steps.find(({ key }) => key === first?.key);
    // Either the move was written before the tap, or it was refused: what has begun is not moved.
    if (answer.ok) expect(stands?.plannedStart).toBe((first?.plannedStart ?? 0) + 30 * MINUTE);
    else expect(stands?.plannedStart).toBe(first?.plannedStart);
  });
});
