import { stateOf, type DoughRecord } from '@/core/record/dough';
import { promisesOf } from '@/core/forecast/promises';
import type { DoughForecast } from '@/core/forecast/forecast';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '@/core/bakery/people';
import type { Proposal } from '@/core/schedule/proposal';
import { clashes } from '@/core/solver/clashes';
import { MINUTE } from '@/core/time/local';
import { v7 as uuid } from 'uuid';
import { demoHouse } from '../../../test-support/demo-house';
import { inEnglish } from '../../../test-support/words';
import { ok, refusal } from '../../../test-support/house';
import { rowsOf, write } from '../db/rows';
import { endPlanner } from '../planner';
import { doughById } from '../store/doughs';
import { newestPlan } from '../store/planned-steps';
import { readWholePlan } from '../store/whole-problem';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let jonas: Person;

beforeAll(async () => {
  house = await demoHouse();
  [mara, jonas] = [house.person('Mara'), house.person('Jonas')];
}, 120_000);
afterAll(() => house.close());

const now = () => house.now();
const whole = async () => readWholePlan(house.pool, await now());
const basis = () => newestPlan(house.pool);

/** A hands-on step of a dough that nobody has begun, and when it is planned. */
async function openStep(doughId: number, kind: string) {
  const dough = await doughById(house.pool, doughId);
  const found = dough?.steps.find(
    ({ step, key }) => step.kind === kind && stateOf(dough).steps.get(key)?.status === 'open',
  );
  if (!found) throw new Error(`Dough ${doughId} has no open ${kind}.`);
  return found;
}

/** Times of every open step, to compare plans by. */
async function times() {
  const { present } = await whole();
  return present;
}

/** Nothing but what is late already breaks a rule: the plan's own pins and the past are as they are. */
async function expectSound() {
  const { problem, present } = await whole();
  const broken = clashes(problem, present).filter(({ rule }) => rule === 'too-much' || rule === 'setting');
  expect(broken).toEqual([]);
}

describe('a step that a planner moves', () => {
  it('stands where it was put, fixed, with its dough following, and the plan stays sound', async () => {
    const step = await openStep(10, 'mix');
    const start = step.plannedStart + 20 * MINUTE;
    const before = await times();
    const done = await ok<{ start: number; moved: number }>(
      runCommand('move-step', mara, { doughId: 10, key: step.key, start, basis: await basis() }),
    );
    const after = await openStep(10, 'mix');
    expect(after).toMatchObject({ plannedStart: start, pinned: true });
    expect(done.moved).toBeGreaterThan(0);
    await expectSound();
    expect(await times()).not.toEqual(before);
  });

  it('is put back by an undo and moved again by a redo', async () => {
    const moved = await times();
    await ok(runCommand('undo-plan', mara, {}));
    const back = await times();
    expect(back).not.toEqual(moved);
    expect((await openStep(10, 'mix')).pinned).toBeUndefined();
    await ok(runCommand('redo-plan', mara, {}));
    expect(await times()).toEqual(moved);
    expect((await refusal(runCommand('redo-plan', mara, {}))).message).toMatch(/nothing to redo/);
    await ok(runCommand('undo-plan', mara, {}));
    expect(await times()).toEqual(back);
  });

  it('can be moved again once it is fixed', async () => {
    const { key, plannedStart } = await openStep(10, 'mix');
    const move = async (by: number) =>
      ok(
        runCommand('move-step', mara, {
          doughId: 10,
          key,
          start: plannedStart + by * MINUTE,
          basis: await basis(),
        }),
      );
    await move(20);
    await move(35);
    expect(await openStep(10, 'mix')).toMatchObject({
      plannedStart: plannedStart + 35 * MINUTE,
      pinned: true,
    });
    await expectSound();
    await ok(runCommand('undo-plan', mara, {}));
    await ok(runCommand('undo-plan', mara, {}));
  });

  it('is refused where nobody is there, and by who may not plan', async () => {
    const step = await openStep(8, 'mix');
    // Nobody is there between nine in the evening and one at night.
    const start = Date.parse('2026-11-20T22:30:00+01:00');
    const input = { doughId: 8, key: step.key, start, basis: await basis() };
    const before = await times();
    expect((await refusal(runCommand('move-step', mara, input))).message).toMatch(
      /No room at Fri 22:30: nobody is on shift/,
    );
    expect((await refusal(runCommand('move-step', jonas, input))).message).toMatch(/Jonas cannot/);
    expect(await times()).toEqual(before);
  });

  it('can be fixed where it is and let go', async () => {
    const { key } = await openStep(10, 'mix');
    await ok(runCommand('pin-step', mara, { doughId: 10, key, pinned: true, basis: await basis() }));
    expect((await openStep(10, 'mix')).pinned).toBe(true);
    await ok(runCommand('pin-step', mara, { doughId: 10, key, pinned: false, basis: await basis() }));
    expect((await openStep(10, 'mix')).pinned).toBeUndefined();
  });

  it('of an older plan is refused with what has happened since', async () => {
    const { key, plannedStart } = await openStep(10, 'mix');
    const old = await basis();
    await ok(runCommand('pin-step', mara, { doughId: 10, key, pinned: true, basis: old }));
    const late = { doughId: 10, key, start: plannedStart, basis: old };
    expect((await refusal(runCommand('move-step', mara, late))).message).toMatch(
      /changed since: .*Mix pinned \(Mara/,
    );
    await ok(runCommand('undo-plan', mara, {}));
  });
});

describe('taking a dough out', () => {
  it('is undone and done again like any other planning act', async () => {
    await ok(runCommand('remove-dough', mara, { doughId: 11 }));
    expect(await doughById(house.pool, 11)).toBeNull();
    await ok(runCommand('undo-plan', mara, {}));
    expect(await doughById(house.pool, 11)).not.toBeNull();
    await ok(runCommand('redo-plan', mara, {}));
    expect(await doughById(house.pool, 11)).toBeNull();
    await ok(runCommand('undo-plan', mara, {}));
  });
});

/** Takes a machine out for an hour around the first step of a kind that needs it in two hours or later. */
async function outFor(machine: string, kind: string): Promise<void> {
  const { doughs } = await whole();
  const at = await now();
  const [first] = doughs
    .flatMap(({ steps }) => steps)
    .filter(({ step, plannedStart }) => step.kind === kind && plannedStart > at + 120 * MINUTE)
    .sort((a, b) => a.plannedStart - b.plannedStart);
  const start = (first?.plannedStart ?? 0) - 10 * MINUTE;
  await write(house.pool, 'INSERT INTO absence (machine_id, start_at, end_at, note) VALUES (?, ?, ?, ?)', [
    ...[machine, new Date(start), new Date(start + 60 * MINUTE), 'out of order'],
  ]);
}

describe('a plan that the day has left', () => {
  it('is mended by a proposal that says what moves and why, and changes nothing until it is accepted', async () => {
    await outFor('oven', 'bake');
    const before = await times();
    const { proposal, passed } = await ok<{ proposal: Proposal; passed: boolean }>(
      runCommand('propose-mend', jonas, {}),
    );
    expect(passed).toBe(false);
    expect(inEnglish(proposal.title)).toMatch(/^Oven: \d trays short at/);
    expect(proposal.body.changes.length).toBeGreaterThan(0);
    expect(proposal.body.changes.every(({ why }) => why !== '')).toBe(true);
    expect(await times()).toEqual(before);
    // This bakery's planners keep that to themselves.
    await ok(runCommand('set-value', mara, { name: 'repairsByBakers', value: 0 }));
    expect((await refusal(runCommand('accept-proposal', jonas, { id: proposal.id }))).message).toMatch(
      /only planners/,
    );
    await ok(runCommand('accept-proposal', mara, { id: proposal.id }));
    await expectSound();
    expect((await refusal(runCommand('accept-proposal', mara, { id: proposal.id }))).message).toMatch(
      /already/,
    );
  }, 60_000);

  it('is accepted by one planner only when two have worked on it', async () => {
    const first = await ok<{ proposal: Proposal }>(runCommand('propose-mend', mara, { seconds: 0.5 }));
    const second = await ok<{ proposal: Proposal }>(runCommand('propose-mend', mara, { seconds: 0.5 }));
    const answers = await Promise.all(
      [first, second].map(({ proposal }) => runCommand('accept-proposal', mara, { id: proposal.id })),
    );
    expect(answers.map(({ ok: done }) => done).sort()).toEqual([false, true]);
    const told = answers.flatMap((answer) => (answer.ok ? [] : [answer.message]));
    expect(told[0]).toMatch(/The plan has changed since: .*Mara/);
  }, 60_000);

  it('does not move what somebody has begun meanwhile', async () => {
    await outFor('sheeter', 'turn');
    const { proposal } = await ok<{ proposal: Proposal }>(runCommand('propose-mend', mara, { seconds: 0.5 }));
    const [doughId, steps] = proposal.body.times[0] as [number, Record<string, [number, number]>];
    const dough = await doughById(house.pool, doughId);
    const key = Object.keys(steps).find((k) => dough?.steps.find((s) => s.key === k)?.step.work) ?? '';
    await write(
      house.pool,
      "INSERT INTO floor_event (id, dough_id, step_key, kind, at, person_id) VALUES (?, ?, ?, 'start', ?, ?)",
      [uuid(), doughId, key, new Date(await now()), jonas.id],
    );
    expect((await refusal(runCommand('accept-proposal', mara, { id: proposal.id }))).message).toMatch(
      /has been started since/,
    );
    const [row] = await rowsOf<{ id: string }>(
      house.pool,
      'SELECT id FROM floor_event ORDER BY seq DESC LIMIT 1',
    );
    await write(
      house.pool,
      "INSERT INTO floor_event (id, dough_id, step_key, kind, at, person_id, undoes) VALUES (?, ?, ?, 'undo', ?, ?, ?)",
      [uuid(), doughId, key, new Date(await now()), jonas.id, row?.id ?? ''],
    );
  }, 60_000);

  it('is not lost when the engine’s thread dies in the middle', async () => {
    const before = await times();
    const asked = runCommand('propose-mend', mara, { seconds: 20 });
    // The thread has its problem once the plan was read; a second is ample.
    const ended = (async () => {
      const until = Date.now() + 15_000;
      for (let done = false; !done && Date.now() < until;) {
        await endPlanner();
        done = await Promise.race([
          asked.then(() => true),
          new Promise<false>((go) => setTimeout(() => go(false), 200)),
        ]);
      }
    })();
    expect((await refusal(asked)).message).toMatch(/calculation was interrupted; nothing was changed/);
    await ended;
    expect(await times()).toEqual(before);
    await ok(runCommand('propose-mend', mara, { seconds: 0.5 }));
  }, 60_000);
});

describe('frozen pieces', () => {
  const lateBuns = async () => {
    const dough = (await whole()).doughs.find(({ name }) => name === 'Brioche 30');
    const [output] = dough?.outputs ?? [];
    if (!dough || !output) throw new Error('The demo has no Brioche 30.');
    return { dough, output };
  };
  const tryFrozen = async (doughId: number) =>
    runCommand('try-way', mara, { doughId, way: 'frozen', basis: await basis() });
  const freeze = async (pieces: number) => {
    const rows = await rowsOf<{ id: number }>(
      house.pool,
      "SELECT id FROM product WHERE name = 'Sugared bun'",
    );
    return ok(runCommand('move-stock', mara, { productId: rows[0]?.id, amount: pieces, note: '' }));
  };

  it('are no way out where none are in the freezer', async () => {
    const { dough } = await lateBuns();
    expect((await refusal(tryFrozen(dough.id))).message).toBe('There is no sugared bun in the freezer.');
  });

  it('stand in for late ones as far as they go, and keep a promise only when they are enough', async () => {
    const { dough, output } = await lateBuns();
    await freeze(20);
    const some = await ok<{ proposal: Proposal; kept: boolean }>(tryFrozen(dough.id));
    expect(some.kept).toBe(false);
    expect(some.proposal.body.needs.map(inEnglish).join('; ')).toMatch(
      /thaw 20 sugared bun .*; .* 28 sugared bun, earliest/,
    );
    await freeze(output.pieces);
    const all = await ok<{ proposal: Proposal; kept: boolean }>(tryFrozen(dough.id));
    expect(all.kept).toBe(true);
    await ok(runCommand('accept-proposal', mara, { id: all.proposal.id }));
    const after = await lateBuns();
    expect(after.output.dueAt).toBeGreaterThan(output.dueAt);
    await expectSound();
  }, 60_000);
});

describe('a way out', () => {
  it.each(['later', 'hands', 'longer', 'room-proof', 'cooler-room', 'split-bake'] as const)(
    '“%s” is a whole plan that keeps every rule once it is accepted',
    async (way) => {
      const { proposal } = await ok<{ proposal: Proposal; kept: boolean }>(
        runCommand('try-way', mara, { doughId: 9, way, basis: await basis() }),
      );
      await ok(runCommand('accept-proposal', mara, { id: proposal.id }));
      await expectSound();
    },
    60_000,
  );

  it('that says it keeps the promises keeps them, and one that does not leaves them late', async () => {
    const lateOf = async (doughId: number) => {
      const { floor, doughs } = await whole();
      const [dough, record] = [floor, doughs].map((all) => all.find(({ id }) => id === doughId));
      if (!dough || !record) throw new Error(`Dough ${doughId} is not in the plan.`);
      return promisesOf(dough as DoughForecast, record as DoughRecord).filter(({ late }) => late > 0).length;
    };
    const record = (await whole()).doughs.find(
      (one) => !stateOf(one).started && one.outputs.length === 1 && one.steps.length > 8,
    );
    const [output] = record?.outputs ?? [];
    if (!record || !output) throw new Error('The demo has no dough that nobody has begun.');
    // Wanted two hours before it can be ready by any means: a promise that only another promise can keep.
    const soon = { outputId: output.id, dueAt: (await now()) + 2 * 60 * MINUTE };
    await write(house.pool, 'UPDATE dough_output SET due_at = ? WHERE id = ?', [
      new Date(soon.dueAt),
      soon.outputId,
    ]);
    expect(await lateOf(record.id)).toBe(1);
    const told = new Map<string, boolean>();
    for (const way of ['night', 'hands', 'longer', 'room-proof', 'split-bake', 'later'] as const) {
      const answer = await runCommand('try-way', mara, { doughId: record.id, way, basis: await basis() });
      // A way that this dough does not have is refused, and promises nothing.
      if (!answer.ok) continue;
      const { proposal, kept } = answer.result as { proposal: Proposal; kept: boolean };
      await ok(runCommand('accept-proposal', mara, { id: proposal.id }));
      expect([way, await lateOf(record.id)]).toEqual([way, kept ? 0 : 1]);
      told.set(way, kept);
      await expectSound();
    }
    expect(told.get('later')).toBe(true);
    expect([...told.values()].filter((kept) => !kept).length).toBeGreaterThan(0);
  }, 120_000);

  it('that a dough does not have is refused', async () => {
    const input = { doughId: 9, way: 'pray', basis: await basis() };
    expect((await refusal(runCommand('try-way', mara, input))).message).toMatch(/way out does not exist/);
    const finished = { doughId: 99, way: 'later', basis: await basis() };
    expect((await refusal(runCommand('try-way', mara, finished))).message).toMatch(/no longer in the plan/);
  });
});
