import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import type { Person } from '@/core/bakery/people';
import type { Proposal } from '@/core/schedule/proposal';
import { rowsOf, write } from '../db/rows';
import { board } from '../store/board';
import { whoAcceptsRepairs } from '../store/house';
import { orderBook } from '../store/orders';
import { readWholePlan } from '../store/whole-problem';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let jonas: Person;
let now: number;
beforeAll(async () => {
  house = await demoHouse();
  [mara, jonas, now] = [house.person('Mara'), house.person('Jonas'), await house.now()];
}, 240_000);
afterAll(() => house.close());

const HOUR = 3_600_000;
const shown = async () => (await board(house.pool, now, 1)).calls.troubles;
const report = (what: object, who = jonas) => runCommand('report-trouble', who, what);
const set = (name: string, value: number) => runCommand('set-value', mara, { name, value });

describe('trouble on the floor', () => {
  it('is a fact whatever it does to the plan: a machine is out from now on, for as long as the house assumes', async () => {
    const { id } = await ok<{ id: number }>(report({ machineId: 'oven' }));
    expect(await shown()).toEqual([
      {
        id,
        machineId: 'oven',
        personId: null,
        units: null,
        deck: null,
        slower: null,
        since: now,
        until: now + 12 * HOUR,
        note: '',
      },
    ]);
    const oven = (await board(house.pool, now, 1)).machines.find((machine) => machine.id === 'oven');
    expect(oven?.outages).toEqual([{ start: now, end: now + 12 * HOUR, units: null }]);
    expect((await refusal(report({ machineId: 'oven' }))).message).toMatch(/already reported/);
    await ok(runCommand('end-trouble', jonas, { id }));
    // Over within its first minute, it was a slip of the finger.
    expect(await rowsOf(house.pool, 'SELECT id FROM absence WHERE id = ?', [id])).toEqual([]);
  });

  it('that is over stays in the book, with who reported it and when it ended', async () => {
    const { id } = await ok<{ id: number }>(report({ machineId: 'oven' }));
    await write(house.pool, 'UPDATE absence SET start_at = ? WHERE id = ?', [new Date(now - HOUR), id]);
    await ok(runCommand('end-trouble', jonas, { id }));
    const [row] = await rowsOf<{ by: number; minutes: number }>(
      house.pool,
      'SELECT reported_by AS `by`, TIMESTAMPDIFF(MINUTE, start_at, end_at) AS minutes FROM absence WHERE id = ?',
      [id],
    );
    expect(row).toEqual({ by: jonas.id, minutes: 60 });
    expect(await shown()).toEqual([]);
    expect((await refusal(runCommand('end-trouble', jonas, { id }))).message).toMatch(/already over/);
  });

  it('is one deck of an oven, whose trays are out, or a machine that takes longer', async () => {
    const deck = await ok<{ id: number }>(report({ machineId: 'oven', deck: 2 }));
    const slower = await ok<{ id: number }>(report({ machineId: 'proofer', slower: 1.5 }));
    const shownNow = await shown();
    expect(shownNow.find(({ id }) => id === deck.id)).toMatchObject({ units: 3, deck: 2, slower: null });
    expect(shownNow.find(({ id }) => id === slower.id)).toMatchObject({ units: null, slower: 1.5 });
    const { machines } = await board(house.pool, now, 1);
    const { outages } = machines.find(({ id }) => id === 'oven') ?? {};
    expect(outages).toContainEqual({ start: now, end: now + 12 * HOUR, units: 3, deck: 2 });
    // What only takes longer is not out.
    const proofer = machines.find(({ id }) => id === 'proofer');
    expect(proofer?.outages).toEqual([]);
    expect(proofer?.slow).toEqual([{ start: now, end: now + 12 * HOUR, times: 1.5 }]);
    expect((await refusal(report({ machineId: 'oven', deck: 9 }))).field).toBe('deck');
    expect((await refusal(report({ machineId: 'mixer', deck: 1 }))).field).toBe('deck');
    expect((await refusal(report({ machineId: 'mixer', slower: 0.5 }))).message).toContain('longer');
    for (const { id } of [deck, slower]) await ok(runCommand('end-trouble', jonas, { id }));
  });

  it('is a part of a machine, a person, and for as long as somebody says', async () => {
    const half = await ok<{ id: number }>(report({ machineId: 'proofer', units: 10, hours: 2 }));
    const ill = await ok<{ id: number }>(report({ personId: house.person('Ida').id, note: 'fever' }));
    const troubles = await shown();
    expect(troubles.find(({ id }) => id === half.id)).toMatchObject({ units: 10, until: now + 2 * HOUR });
    expect(troubles.find(({ id }) => id === ill.id)).toMatchObject({ note: 'fever' });
    const there = (await board(house.pool, now, 1)).presences;
    const today = there.filter(({ personId, end }) => personId === house.person('Ida').id && end > now);
    expect(today.every(({ start }) => start >= now + 12 * HOUR)).toBe(true);
    // Holidays are no trouble: nobody has reported them.
    await write(
      house.pool,
      "INSERT INTO absence (person_id, start_at, end_at, note) VALUES (?, ?, ?, 'holiday')",
      [house.person('Anton').id, new Date(now - HOUR), new Date(now + 90 * HOUR)],
    );
    expect((await shown()).some(({ note }) => note === 'holiday')).toBe(false);
    for (const { id } of [half, ill]) await ok(runCommand('end-trouble', jonas, { id }));
  });

  it('is refused where it says nothing, or cannot be meant', async () => {
    expect((await refusal(report({}))).message).toMatch(/Choose a machine or a person/);
    expect((await refusal(report({ machineId: 'oven', personId: 1 }))).field).toBe('machineId');
    expect((await refusal(report({ machineId: 'no-such' }))).message).toMatch(/machine does not exist/i);
    expect((await refusal(report({ machineId: 'oven', hours: 9000 }))).field).toBe('hours');
    expect((await refusal(report({ machineId: 'oven', units: 0 }))).field).toBe('units');
    expect((await refusal(runCommand('end-trouble', jonas, { id: 999_999 }))).message).toMatch(
      /already over/,
    );
  });
});

describe('a repair of the plan', () => {
  const mend = async (who: Person) =>
    (await ok<{ proposal: Proposal }>(runCommand('propose-mend', who, { seconds: 1 }))).proposal;
  const accept = (who: Person, { id }: Proposal) => runCommand('accept-proposal', who, { id });

  it('is accepted by a baker while no planner is on shift, and by nobody else than a planner otherwise', async () => {
    // At ten past four no planner is there.
    expect(await whoAcceptsRepairs(house.pool, now)).toBe('bakers');
    const { id } = await ok<{ id: number }>(report({ machineId: 'oven', hours: 5 }));
    const proposal = await mend(jonas);
    expect(proposal.kind).toBe('mend');
    // The one oven is out for longer than its loads can wait: what has to be decided comes first, and the rest is a plan.
    expect(proposal.body.needs[0]).toMatch(/^Crescent 38 cannot wait: .+ at most\. Chill it/);
    await ok(set('repairsByBakers', 0));
    expect((await refusal(accept(jonas, proposal))).message).toMatch(/only planners accept repairs/);
    await ok(set('repairsByBakers', 1));
    await write(house.pool, 'INSERT INTO extra_shift (person_id, start_at, end_at) VALUES (?, ?, ?)', [
      ...[mara.id, new Date(now - HOUR), new Date(now + HOUR)],
    ]);
    expect((await refusal(accept(jonas, proposal))).message).toMatch(/Mara is on shift/);
    await write(house.pool, 'DELETE FROM extra_shift WHERE person_id = ?', [mara.id]);
    await ok(accept(jonas, proposal));
    const [version] = await rowsOf<{ madeBy: number }>(
      house.pool,
      'SELECT made_by AS madeBy FROM plan_version ORDER BY id DESC LIMIT 1',
    );
    expect(version?.madeBy).toBe(jonas.id);
    // No load goes into an oven that is out.
    const doughs = (await board(house.pool, now, 1)).doughs;
    const bakes = doughs.flatMap(({ steps }) => steps.filter(({ step }) => step.kind === 'bake'));
    const during = bakes.filter(
      ({ plannedStart, plannedEnd }) => plannedStart < now + 5 * HOUR && plannedEnd > now,
    );
    expect(during).toEqual([]);
    await ok(runCommand('end-trouble', jonas, { id }));
  });
});

describe('a dough that is lost', () => {
  const doughCalled = async (name: string) => {
    const found = (await board(house.pool, now, 2)).doughs.find((dough) => dough.name === name);
    if (!found) throw new Error(`There is no ${name}.`);
    return found;
  };
  const lose = (doughId: number, data: object, who = jonas) =>
    runCommand('record-event', who, {
      ...{ id: randomUUID(), doughId, stepKey: null, kind: 'lost', text: 'fell down' },
      data: { kind: 'lost', output: null, pieces: null, ...data },
    });
  const openOf = async (doughId: number) => {
    const { demand } = await orderBook(house.pool, now);
    return demand.reduce(
      (sum, { from }) =>
        sum + from.filter((one) => one.doughId === doughId).reduce((all, { pieces }) => all + pieces, 0),
      0,
    );
  };

  it('makes its orders open again, in part or as a whole; taken back, it is theirs again', async () => {
    const dough = await doughCalled('Crescent 39');
    const [crescent] = dough.outputs;
    const before = await openOf(dough.id);
    await ok(lose(dough.id, { output: crescent?.id, pieces: 60 }));
    const fewer = await openOf(dough.id);
    expect(fewer).toBe(before - 60);
    const whole = await ok<{ id: string }>(lose(dough.id, {}));
    expect(await openOf(dough.id)).toBe(0);
    expect((await refusal(lose(dough.id, {}))).message).toMatch(/Crescent 39 is already finished/);
    // A plan knows nothing of it any more.
    const { doughs } = await readWholePlan(house.pool, now);
    expect(doughs.some(({ id }) => id === dough.id)).toBe(false);
    await ok(
      runCommand('record-event', jonas, {
        ...{ id: randomUUID(), doughId: dough.id, stepKey: null, kind: 'undo', undoes: whole.id },
      }),
    );
    expect(await openOf(dough.id)).toBe(fewer);
  });

  it('is refused where it cannot be, and from a helper', async () => {
    const dough = await doughCalled('Danish 13');
    const [danish] = dough.outputs;
    expect((await refusal(lose(dough.id, { output: 999 }))).field).toBe('data.output');
    expect((await refusal(lose(dough.id, { output: danish?.id, pieces: 5000 }))).field).toBe('data.pieces');
    expect((await refusal(lose(dough.id, { output: danish?.id, pieces: 0 }))).ok).toBe(false);
    const helper = { ...jonas, role: 'helper' as const };
    expect((await refusal(lose(dough.id, {}, helper))).message).toMatch(/cannot judge/);
  });
});
