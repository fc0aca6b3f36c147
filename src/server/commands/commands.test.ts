import { stateOf } from '@/core/record/dough';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '@/core/bakery/people';
import { formatLocal, MINUTE } from '@/core/time/local';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import { rowsOf } from '../db/rows';
import { houseNow } from '../store/clock';
import { doughById, doughsDueFrom } from '../store/doughs';
import { currentProducts } from '../store/products';
import { runCommand } from './run';

const ZONE = 'Europe/Berlin';
let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let jonas: Person;
let productId: (name: string) => number;

beforeAll(async () => {
  house = await demoHouse();
  [mara, jonas] = [house.person('Mara'), house.person('Jonas')];
  const products = await currentProducts(house.pool);
  productId = (name) => products.find((p) => p.name === name)?.productId ?? 0;
});
afterAll(() => house.close());

const dough = (product: string, pieces: unknown, due: string) => ({
  clientId: randomUUID(),
  outputs: [{ productId: productId(product), pieces, due }],
});
const count = async (table: 'dough' | 'plan_version' | 'floor_event') => {
  const [row] = await rowsOf<{ n: number }>(house.pool, `SELECT COUNT(*) AS n FROM ${table}`);
  return row?.n ?? 0;
};

describe('the demo bakery', () => {
  it('opens on a Thursday at 04:10 with nine doughs and more, at every stage', async () => {
    const now = await houseNow(house.pool);
    expect(formatLocal(now, ZONE)).toMatch(/^2026-11-19T04:1/);
    const doughs = (await doughsDueFrom(house.pool, now - 3 * 24 * 60 * MINUTE)).map((dough) => ({
      state: stateOf(dough),
    }));
    expect(doughs.filter(({ state }) => !state.finished).length).toBeGreaterThanOrEqual(9);
    expect(doughs.some(({ state }) => state.finished)).toBe(true);
    expect(doughs.some(({ state }) => !state.started)).toBe(true);
    const running = doughs.flatMap((d) =>
      [...d.state.steps.values()].filter(({ status }) => status === 'running').map(({ key }) => key),
    );
    for (const stage of ['retard', 'proof'])
      expect(
        running.some((key) => key.endsWith(stage)),
        stage,
      ).toBe(true);
  });

  it('has a plan in which every promise is kept but the one that was given too late', async () => {
    const now = await houseNow(house.pool);
    const late = (await doughsDueFrom(house.pool, now)).filter(({ outputs, steps }) =>
      outputs.some(({ id, dueAt }) => {
        const ready = Math.max(...steps.filter((s) => s.outputId === id).map((s) => s.plannedEnd));
        return ready > dueAt;
      }),
    );
    expect(late.map(({ outputs }) => outputs[0]?.product)).toEqual(['Sugared bun']);
  });
});

describe('adding a dough', () => {
  it('finds places for all its steps before the due time, inside the shifts, and moves no other dough', async () => {
    const now = await houseNow(house.pool);
    const before = await doughsDueFrom(house.pool, now);
    const added = await ok<{ id: number; name: string }>(
      runCommand('add-dough', mara, dough('Butter crescent', '120', '2026-11-21T06:30')),
    );
    expect(added.name).toBe('Crescent 40');
    const placed = await doughById(house.pool, added.id);
    expect(placed?.steps.length).toBeGreaterThan(20);
    for (const step of placed?.steps ?? []) {
      expect(step.plannedStart).toBeGreaterThanOrEqual(now);
      const hour = Number(formatLocal(step.plannedStart, ZONE).slice(11, 13));
      if (step.step.work) expect(hour >= 1 && hour < 21, `${step.key} at ${hour} h`).toBe(true);
    }
    const after = await doughsDueFrom(house.pool, now);
    const times = (list: typeof after) =>
      list.filter(({ id }) => id !== added.id).map((d) => d.steps.map((s) => [s.plannedStart, s.plannedEnd]));
    expect(times(after)).toEqual(times(before));
  });

  it('leaves out what its product can do without, for good, and nothing else', async () => {
    const input = dough('Butter crescent', 60, '2026-11-22T06:30');
    const { id } = await ok<{ id: number }>(runCommand('add-dough', mara, { ...input, without: ['degas'] }));
    const kept = await doughById(house.pool, id);
    const keys = kept?.steps.map(({ key }) => key) ?? [];
    expect(keys).toContain('bulk');
    expect(keys).not.toContain('degas');
    expect(kept?.links.some(({ from, to }) => from === 'bulk' && to === 'retard')).toBe(true);
    const other = dough('Butter crescent', 60, '2026-11-23T06:30');
    expect((await refusal(runCommand('add-dough', mara, { ...other, without: ['mix'] }))).message).toMatch(
      /cannot be left out/,
    );
    await ok(runCommand('remove-dough', mara, { doughId: id }));
    // What was left out stays so when it is put back, and so it is planned.
    await ok(runCommand('restore-dough', mara, { doughId: id }));
    expect((await doughById(house.pool, id))?.steps.map(({ key }) => key)).toEqual(keys);
    await ok(runCommand('remove-dough', mara, { doughId: id }));
  });

  it('proofs one dough by another school than its product, here and when something is recorded of it', async () => {
    const input = { ...dough('Butter crescent', 45, '2026-11-24T06:30'), school: 'room' };
    const { id } = await ok<{ id: number }>(runCommand('add-dough', mara, input));
    const proofs = async (doughId: number) =>
      (await doughById(house.pool, doughId))?.steps.filter(({ step }) => step.kind === 'proof') ?? [];
    const [room] = await proofs(id);
    expect(room?.step.place).toBe('room');
    expect(room?.uses.some(({ setting }) => setting !== undefined)).toBe(false);
    expect((await doughById(house.pool, id))?.steps.some(({ key }) => key.endsWith('.night'))).toBe(false);
    await ok(
      runCommand('record-event', mara, {
        id: randomUUID(),
        doughId: id,
        stepKey: room?.key,
        kind: 'note',
        text: 'x',
      }),
    );
    // Every other dough of the product is as the product is.
    const usual = await ok<{ id: number }>(
      runCommand('add-dough', mara, dough('Butter crescent', 45, '2026-11-25T06:30')),
    );
    expect((await proofs(usual.id))[0]?.step.place).not.toBe('room');
    await ok(runCommand('remove-dough', mara, { doughId: id }));
    await ok(runCommand('restore-dough', mara, { doughId: id }));
    expect((await proofs(id))[0]?.step.place).toBe('room');
    expect((await refusal(runCommand('add-dough', mara, { ...input, school: 'oven' }))).field).toBe('school');
    for (const doughId of [id, usual.id]) await ok(runCommand('remove-dough', mara, { doughId }));
  });

  it('makes one dough of a form sent twice', async () => {
    const input = dough('Brioche knot', 40, '2026-11-21T10:00');
    const [first, second] = await Promise.all([
      ok(runCommand('add-dough', mara, input)),
      ok(runCommand('add-dough', mara, input)),
    ]);
    expect(second).toEqual(first);
  });

  it('asks before it adds the same dough from another tab, and does so when told again', async () => {
    const input = () => dough('Brioche knot', 30, '2026-11-22T09:00');
    await ok(runCommand('add-dough', mara, input()));
    const twin = await refusal(runCommand('add-dough', mara, input()));
    expect(twin.message).toMatch(/is the same dough, added by Mara/);
    expect(twin.offer).toEqual({ again: true });
    await ok(runCommand('add-dough', mara, { ...input(), again: true }));
  });

  it('names the step and the earliest time when a due time is too soon, and that time works', async () => {
    const before = [await count('dough'), await count('plan_version')];
    const soon = await refusal(
      runCommand('add-dough', mara, dough('Butter crescent', 60, '2026-11-19T18:00')),
    );
    expect(soon.message).toMatch(
      /cannot be ready by Thu 18:00: the steps take at least .*, retard alone 8 h\. The earliest is Fri /,
    );
    expect(soon.field).toBe('outputs.0.due');
    expect([await count('dough'), await count('plan_version')]).toEqual(before);
    const earliest = formatLocal(soon.offer?.earliest as number, ZONE);
    await ok(runCommand('add-dough', mara, dough('Butter crescent', 60, earliest)));
  });

  it.each([
    ['none', 0, /at least 1 piece/],
    ['fewer than none', -5, /at least 1 piece/],
    ['a thousand million', 1e9, /at most 100,000/],
    ['a word', 'twelve', /whole number of pieces, such as 120/],
    ['half a piece', 2.5, /whole number/],
    ['nothing', '', /whole number/],
    ['more than four bowls', 5000, /more than 4 bowls of 40\.0 kg/],
  ])('refuses %s, beside the field', async (_, pieces, sentence) => {
    const before = await count('dough');
    const { message, field } = await refusal(
      runCommand('add-dough', mara, dough('Butter crescent', pieces, '2026-11-21T06:30')),
    );
    expect(message).toMatch(sentence);
    expect(field).toBe('outputs.0.pieces');
    expect(await count('dough')).toBe(before);
  });

  it.each([
    ['a time that has passed', '2026-11-19T04:00', /is in the past/],
    ['a day that is not', '2026-11-31T06:30', /does not exist/],
    ['a word', 'tomorrow', /Enter a day and a time/],
    ['next year', '2027-11-21T06:30', /covers the next 14 days/],
  ])('refuses %s as due time', async (_, due, sentence) => {
    const { message, field } = await refusal(
      runCommand('add-dough', mara, dough('Butter crescent', 10, due)),
    );
    expect(message).toMatch(sentence);
    expect(field).toBe('outputs.0.due');
  });

  it('refuses unknown products, products of another dough, and no product at all', async () => {
    const unknown = {
      clientId: randomUUID(),
      outputs: [{ productId: 9999, pieces: 5, due: '2026-11-21T06:30' }],
    };
    expect((await refusal(runCommand('add-dough', mara, unknown))).message).toMatch(
      /product (does not exist|no longer exists)/,
    );
    const mixed = dough('Butter crescent', 10, '2026-11-21T06:30');
    mixed.outputs.push({ productId: productId('Brioche loaf'), pieces: 4, due: '2026-11-21T06:30' });
    expect((await refusal(runCommand('add-dough', mara, mixed))).message).toMatch(/uses a different dough/);
    expect(
      (await refusal(runCommand('add-dough', mara, { clientId: randomUUID(), outputs: [] }))).message,
    ).toMatch(/at least one product/);
  });

  it('is for planners', async () => {
    const { message } = await refusal(
      runCommand('add-dough', jonas, dough('Butter crescent', 10, '2026-11-21T06:30')),
    );
    expect(message).toMatch(/Jonas cannot do this here/);
  });
});

describe('taking a dough out', () => {
  it('keeps what was recorded, and can be taken back', async () => {
    const now = await houseNow(house.pool);
    const dough = (await doughsDueFrom(house.pool, now)).find(({ name }) => name === 'Crescent 39');
    const id = dough?.id ?? 0;
    const events = await count('floor_event');
    await ok(runCommand('remove-dough', mara, { doughId: id }));
    expect(await doughById(house.pool, id)).toBeNull();
    await ok(runCommand('restore-dough', mara, { doughId: id }));
    expect((await doughById(house.pool, id))?.steps).toEqual(dough?.steps);
    expect(await count('floor_event')).toBe(events);
  });
});

describe('recording on the floor', () => {
  /** A dough that nobody has touched, and a way to record on it. */
  async function untouched() {
    const now = await houseNow(house.pool);
    const found = (await doughsDueFrom(house.pool, now)).find(
      ({ events, name }) => events.length === 0 && name.startsWith('Chocolate'),
    );
    if (!found) throw new Error('The demo has no untouched chocolate rolls.');
    const record = (part: Record<string, unknown>) =>
      runCommand('record-event', jonas, { id: randomUUID(), doughId: found.id, stepKey: 'butter', ...part });
    const state = async () => stateOf((await doughById(house.pool, found.id)) ?? found).steps.get('butter');
    return { ...found, now, record, state };
  }

  it('refuses what cannot be, in a sentence, and records nothing of it', async () => {
    const { record, now } = await untouched();
    const before = await count('floor_event');
    const cases: [Record<string, unknown>, RegExp][] = [
      [{ kind: 'finish' }, /has not been started/],
      [{ kind: 'start', stepKey: 'lock-in' }, /comes first\. Finish or skip it/],
      [{ kind: 'start', stepKey: 'retard' }, /starts by itself/],
      [{ kind: 'start', stepKey: 'polish' }, /has no such step/],
      [{ kind: 'start', at: now + 10 * MINUTE }, /in the future/],
      [{ kind: 'temperature', celsius: 400 }, /400 °C is not a dough temperature: enter -35 to 110/],
      [{ kind: 'temperature' }, /Enter a temperature/],
      [{ kind: 'note', text: 'x'.repeat(100_000) }, /note has at most/],
      [{ kind: 'note', text: '  ' }, /few words/],
      [{ kind: 'skip' }, /few words/],
      [{ kind: 'undo', undoes: randomUUID() }, /nothing of that kind to undo/],
      [{ kind: 'dance' }, /started, finished, skipped/],
      [{ kind: 'start', id: 'mine' }, /Reload the page/],
      [{ kind: 'start', doughId: 99_999 }, /no longer in the plan|does not exist/],
    ];
    for (const [part, sentence] of cases) expect((await refusal(record(part))).message).toMatch(sentence);
    expect(await count('floor_event')).toBe(before);
  });

  it('starts, measures, finishes and undoes', async () => {
    const { record, state, now } = await untouched();
    await ok(record({ kind: 'start', at: now - 5 * MINUTE }));
    expect((await refusal(record({ kind: 'finish', at: now - 9 * MINUTE }))).message).toMatch(
      /cannot end before it started/,
    );
    await ok(record({ kind: 'temperature', celsius: 14.5 }));
    const finish = randomUUID();
    await ok(record({ kind: 'finish', id: finish }));
    expect(await state()).toMatchObject({
      status: 'done',
      temperatures: [{ celsius: 14.5 }],
      startedBy: jonas.id,
    });
    await ok(record({ kind: 'undo', undoes: finish }));
    expect(await state()).toMatchObject({ status: 'running' });
  });

  it('refuses the finish of a start that was taken back meanwhile; of two who start a step the first has it', async () => {
    const now = await houseNow(house.pool);
    const found = (await doughsDueFrom(house.pool, now))
      .flatMap((dough) => dough.steps.map(({ key }) => ({ dough, key })))
      .find(({ dough: one, key }) => stateOf(one).steps.get(key)?.startable);
    if (!found) throw new Error('Nothing of the demo can be started.');
    const { dough: open, key: stepKey } = found;
    const ida = house.person('Ida');
    const record = (person: Person, part: Record<string, unknown>) =>
      runCommand('record-event', person, { id: randomUUID(), doughId: open.id, stepKey, ...part });
    const start = randomUUID();
    await ok(record(jonas, { kind: 'start', id: start, at: now - 3 * MINUTE }));
    await ok(record(jonas, { kind: 'undo', undoes: start, at: now - 2 * MINUTE }));
    expect((await refusal(record(ida, { kind: 'finish' }))).message).toMatch(/has not been started/);
    await ok(record(jonas, { kind: 'start', at: now - MINUTE }));
    await ok(record(ida, { kind: 'start' }));
    const after = await doughById(house.pool, open.id);
    expect(after && stateOf(after).steps.get(stepKey)).toMatchObject({
      ...{ status: 'running', startedBy: jonas.id, startedAt: now - MINUTE },
    });
  });

  it('counts an event once, however often and at whatever moment it is sent', async () => {
    const { record, state } = await untouched().catch(async () => {
      const now = await houseNow(house.pool);
      const found = (await doughsDueFrom(house.pool, now)).find(({ name }) => name === 'Levain 3');
      if (!found) throw new Error('The demo has no Levain 3.');
      return {
        record: (part: Record<string, unknown>) =>
          runCommand('record-event', jonas, { doughId: found.id, stepKey: 'butter', ...part }),
        state: async () => stateOf((await doughById(house.pool, found.id)) ?? found).steps.get('butter'),
      };
    });
    const before = await count('floor_event');
    const event = { kind: 'start', id: randomUUID() };
    await Promise.all([ok(record(event)), ok(record(event)), ok(record(event))]);
    await ok(record(event));
    expect(await count('floor_event')).toBe(before + 1);
    expect((await state())?.status).toBe('running');
  });

  it('is never changed or deleted afterwards', async () => {
    await expect(house.pool.query("UPDATE floor_event SET kind = 'note'")).rejects.toThrow(/not changed/);
    await expect(house.pool.query('DELETE FROM floor_event')).rejects.toThrow(/not deleted/);
  });

  it('tells the change feed which dough has changed', async () => {
    const [row] = await rowsOf<{ command: string; dough: number }>(
      house.pool,
      'SELECT command, dough_id AS dough FROM change_feed ORDER BY id DESC LIMIT 1',
    );
    expect(row).toMatchObject({ command: 'record-event' });
    expect(row?.dough).toBeGreaterThan(0);
  });
});

describe('the demo clock', () => {
  it('is set, sped up and paused', async () => {
    await ok(runCommand('set-clock', jonas, { shows: '2026-11-19T06:00', paused: true }));
    expect(formatLocal(await houseNow(house.pool), ZONE)).toBe('2026-11-19T06:00');
    expect((await refusal(runCommand('set-clock', jonas, { rate: 1000 }))).message).toMatch(
      /1, 10, 60 times/,
    );
    expect((await refusal(runCommand('set-clock', jonas, { shows: 'noon' }))).message).toMatch(
      /Enter a day and a time/,
    );
  });

  it('is not there in a real bakery', async () => {
    await house.pool.query('DELETE FROM demo_clock');
    expect(Math.abs((await houseNow(house.pool)) - Date.now())).toBeLessThan(60_000);
    expect((await refusal(runCommand('set-clock', mara, { paused: true }))).message).toMatch(/real clock/);
  });
});

describe('a bakery in which nobody works', () => {
  it('says which step finds no hands, and adds nothing', async () => {
    const before = await count('dough');
    await house.pool.query('DELETE FROM shift');
    const soon = formatLocal(Date.now() + 4 * 24 * 60 * MINUTE, ZONE);
    const { message } = await refusal(runCommand('add-dough', mara, dough('Brioche knot', 20, soon)));
    expect(message).toMatch(/No staff or machine is free/);
    expect(await count('dough')).toBe(before);
  });
});

describe('what cannot be done', () => {
  it('is said for unknown commands and unknown keys', async () => {
    expect((await refusal(runCommand('bake-me-a-cake', mara, {}))).message).toMatch(
      /“bake-me-a-cake” is not known here/,
    );
    const unknown = await refusal(runCommand('remove-dough', mara, { doughId: 1, force: true }));
    expect(unknown).toMatchObject({
      field: 'force',
      message: expect.stringMatching(/cannot be used/) as string,
    });
  });
});
