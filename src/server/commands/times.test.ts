import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import type { Person } from '@/core/bakery/people';
import { MINUTE } from '@/core/time/local';
import { rowsOf, write } from '../db/rows';
import { doughById } from '../store/doughs';
import { readWholePlan } from '../store/whole-problem';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let jonas: Person;
const DOUGH = 5;
const DAY = 24 * 60 * MINUTE;
beforeAll(async () => {
  house = await demoHouse();
  [mara, jonas] = [house.person('Mara'), house.person('Jonas')];
}, 120_000);
afterAll(() => house.close());

const note = (at: unknown) =>
  runCommand('record-event', jonas, {
    ...{ id: uuidv7(), doughId: DOUGH, stepKey: null, kind: 'note', text: 'x', at },
  });

describe('when something happened', () => {
  it.each([0, -1, -9e15, 9e15, 1e300, -1e300, Number.MAX_SAFE_INTEGER, 1.5, 'yesterday'])(
    'is not %s',
    async (at) => {
      expect((await refusal(note(at))).field).toBe('at');
      const calls = [
        runCommand('write-handover', jonas, { id: uuidv7(), words: 'x', at }),
        runCommand('take-alarm', jonas, { alarm: 'wash/3/8.1.bake', at }),
      ];
      for (const call of calls) expect((await refusal(call)).field).toBe('at');
    },
  );

  it('lies between the making of the dough, or a day back, and a minute from now', async () => {
    const now = await house.now();
    const dough = await doughById(house.pool, DOUGH);
    const earliest = Math.min(dough?.madeAt ?? now, now - DAY);
    for (const at of [earliest, now - 60 * MINUTE, now, now + MINUTE]) await ok(note(at));
    expect((await refusal(note(earliest - 1))).message).toMatch(/too long ago/);
    expect((await refusal(note(now + MINUTE + 1))).message).toMatch(/in the future/);
    const handover = (at: number) => runCommand('write-handover', jonas, { id: uuidv7(), words: 'x', at });
    await ok(handover(now - DAY));
    expect((await refusal(handover(now - DAY - 1))).message).toMatch(/too long ago/);
  });

  it('is kept beside when it was received, from which session, and whether it waited', async () => {
    const now = await house.now();
    const [late, at] = [uuidv7(), now - 30 * MINUTE];
    const base = { doughId: DOUGH, stepKey: null, kind: 'note', text: 'late' };
    await ok(runCommand('record-event', jonas, { ...base, id: late, at }, { sessionId: 77 }));
    const prompt = uuidv7();
    await ok(runCommand('record-event', jonas, { ...base, id: prompt }, { sessionId: 78 }));
    const rows = await rowsOf<{ id: string; at: Date; receivedAt: Date; session: number; waited: number }>(
      house.pool,
      'SELECT id, at, received_at AS receivedAt, session_id AS session, waited FROM floor_event WHERE id IN (?)',
      [[late, prompt]],
    );
    const of = (id: string) => rows.find((row) => row.id === id);
    expect(of(late)).toMatchObject({ at: new Date(at), receivedAt: new Date(now), session: 77, waited: 1 });
    expect(of(prompt)).toMatchObject({
      at: new Date(now),
      receivedAt: new Date(now),
      session: 78,
      waited: 0,
    });
    const known = (await doughById(house.pool, DOUGH))?.events ?? [];
    expect(known.find(({ id }) => id === late)?.receivedAt).toBe(now);
    expect(known.find(({ id }) => id === prompt)?.receivedAt).toBeUndefined();
  });

  it('is no day that the calendar does not have', async () => {
    const close = (day: string) => runCommand('close-day', mara, { day, closed: true });
    for (const day of ['2026-02-30', '2026-13-01', '2025-02-29', '0000-00-00', '2026-1-1'])
      expect((await refusal(close(day))).message).toMatch(/Enter a day/);
    await ok(close('2028-02-29'));
    const busy = (start: number, end: number) =>
      runCommand('take-busy', mara, {
        ...{ personId: jonas.id, machineId: null, sure: true },
        busy: [{ source: 'x 1', summary: '', start, end }],
      });
    await refusal(busy(-9e15, 9e15));
    await refusal(busy(0, 1));
  });
});

describe('a database in which an impossible time was stored', () => {
  it('is read as if that event were not there, by the dough and by the plan', async () => {
    const connection = await house.pool.getConnection();
    const ids = [uuidv7(), uuidv7()];
    // As an earlier version could leave it.
    await connection.query("SET sql_mode = ''");
    for (const [i, at] of ['0000-00-00 00:00:00', '1970-01-01 00:00:00'].entries())
      await connection.query(
        "INSERT INTO floor_event (id, dough_id, kind, at, person_id, text) VALUES (?, ?, 'note', ?, ?, 'damaged')",
        [ids[i], DOUGH, at, jonas.id],
      );
    connection.destroy();
    const dough = await doughById(house.pool, DOUGH);
    expect(dough?.events.length).toBeGreaterThan(0);
    expect(dough?.events.filter(({ id }) => ids.includes(id))).toEqual([]);
    const now = await house.now();
    expect((await readWholePlan(house.pool, now)).doughs.length).toBeGreaterThan(5);
    await ok(runCommand('follow-dough', jonas, { doughId: DOUGH }));
  });

  it('cannot get one any more: what is no date is an error and not a zero', async () => {
    await expect(
      write(
        house.pool,
        "INSERT INTO handover (client_id, at, person_id, words) VALUES (?, '2026-02-31', ?, 'x')",
        [...[uuidv7(), jonas.id]],
      ),
    ).rejects.toThrow(/ER_TRUNCATED_WRONG_VALUE/);
  });
});
