import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v4 as uuid } from 'uuid';
import { demoHouse } from '../../../test-support/demo-house';
import { ok, refusal } from '../../../test-support/house';
import type { Person } from '@/core/bakery/people';
import { rowsOf, transaction, write } from '../db/rows';
import { runCommand } from './run';

let house: Awaited<ReturnType<typeof demoHouse>>;
let mara: Person;
let jonas: Person;
beforeAll(async () => {
  house = await demoHouse();
  [mara, jonas] = [house.person('Mara'), house.person('Jonas')];
}, 120_000);
afterAll(() => house.close());

const TABLES = [
  ...[
    'stock_move',
    'extra_shift',
    'absence',
    'single_order',
    'plan_proposal',
    'plan_version',
    'dough',
    'audit',
  ],
  ...[
    'standing_order',
    'place_reading',
    'evidence_word',
    'handover',
    'floor_event',
    'change_feed',
    'calendar_address',
  ],
];
const counts = async () =>
  Object.fromEntries(
    await Promise.all(
      TABLES.map(async (table) => {
        const [row] = await rowsOf<{ n: number }>(house.pool, `SELECT COUNT(*) AS n FROM ${table}`);
        return [table, row?.n];
      }),
    ),
  ) as Record<string, number>;

/** Commands that would count twice if they were done twice. */
const REPEATED: [name: string, who: () => Person, input: () => unknown][] = [
  ['move-stock', () => jonas, () => ({ productId: 1, amount: 12, note: 'shaped', forDue: null })],
  [
    'add-exception',
    () => mara,
    () => ({
      ...{ kind: 'extra', personId: jonas.id, machineId: null, units: null, note: 'helps out' },
      ...{ start: '2026-11-20T10:00', end: '2026-11-20T12:00', sure: true },
    }),
  ],
  [
    'add-order',
    () => mara,
    () => ({ clientId: uuid(), customer: 'School', productId: 1, pieces: 30, due: '2026-11-25T08:00' }),
  ],
  ['propose-mend', () => jonas, () => ({ seconds: 0.2 })],
  ['tell-place', () => jonas, () => ({ place: 'bakery', celsius: 23 })],
  ['write-handover', () => jonas, () => ({ id: uuid(), words: 'Flour is low.' })],
  ['undo-plan', () => mara, () => ({})],
];

describe('a command that comes twice under one number', () => {
  it('undoes an act of its own here, to begin with', async () => {
    await ok(
      runCommand('add-dough', mara, {
        clientId: uuid(),
        outputs: [{ productId: 1, pieces: 40, due: '2026-11-23T08:00' }],
      }),
    );
  });

  it.each(REPEATED)('is done once and answered the same: %s', async (name, who, input) => {
    const [key, same] = [uuid(), input()];
    const first = await ok(runCommand(name, who(), same, { key }));
    const before = await counts();
    expect(await ok(runCommand(name, who(), same, { key }))).toEqual(first);
    expect(await counts()).toEqual(before);
  });

  it('whose answer is a secret is done once, and its secret is nowhere in the database', async () => {
    const key = uuid();
    const { path } = await ok<{ path: string }>(
      runCommand('make-address', mara, { personId: null }, { key }),
    );
    const before = await counts();
    expect(await ok(runCommand('make-address', mara, { personId: null }, { key }))).toBeNull();
    expect(await counts()).toEqual(before);
    const kept = await rowsOf<{ result: unknown }>(house.pool, 'SELECT result FROM command_done');
    expect(JSON.stringify(kept)).not.toContain(path.split('/').at(-1));
  });

  it('is done once when both come at the same moment', async () => {
    const [key, before] = [uuid(), await counts()];
    const input = { productId: 1, amount: 5, note: '', forDue: null };
    const answers = await Promise.all(
      Array.from({ length: 8 }, () => ok(runCommand('move-stock', jonas, input, { key }))),
    );
    expect(new Set(answers.map((one) => JSON.stringify(one))).size).toBe(1);
    expect((await counts()).stock_move).toBe((before.stock_move ?? 0) + 1);
  });

  it('was refused, and is looked at anew the second time', async () => {
    const key = uuid();
    const tooMany = { productId: 1, amount: -9_000, note: '', forDue: null };
    await refusal(runCommand('move-stock', jonas, tooMany, { key }));
    await refusal(runCommand('move-stock', jonas, tooMany, { key }));
    await ok(runCommand('move-stock', jonas, { ...tooMany, amount: 1 }, { key }));
  });

  it('is refused under the number of another command, or of another person', async () => {
    const key = uuid();
    await ok(runCommand('tell-place', jonas, { place: 'bakery', celsius: 23 }, { key }));
    expect(
      (await refusal(runCommand('tell-place', mara, { place: 'bakery', celsius: 23 }, { key }))).message,
    ).toMatch(/Reload the page/);
    await refusal(
      runCommand('move-stock', jonas, { productId: 1, amount: 1, note: '', forDue: null }, { key }),
    );
  });
});

describe('transactions that run into each other', () => {
  it('are done again as a whole until each is done: no deadlock is anybody’s business', async () => {
    await write(house.pool, 'CREATE TABLE crossing (id INT PRIMARY KEY, n INT NOT NULL)', []);
    await write(house.pool, 'INSERT INTO crossing VALUES (1, 0), (2, 0)', []);
    let tries = 0;
    const cross = (first: number, second: number) =>
      transaction(house.pool, async (db) => {
        tries++;
        await write(db, 'UPDATE crossing SET n = n + 1 WHERE id = ?', [first]);
        await write(db, 'DO SLEEP(0.05)', []);
        await write(db, 'UPDATE crossing SET n = n + 1 WHERE id = ?', [second]);
      });
    await Promise.all([cross(1, 2), cross(2, 1), cross(1, 2), cross(2, 1)]);
    expect(tries).toBeGreaterThan(4);
    const rows = await rowsOf<{ n: number }>(house.pool, 'SELECT n FROM crossing ORDER BY id');
    expect(rows.map(({ n }) => n)).toEqual([4, 4]);
  });

  it('give up a connection that died in them, and leave nothing behind', async () => {
    const dying = transaction(house.pool, async (db) => {
      await write(db, 'UPDATE crossing SET n = 99', []);
      await write(house.pool, 'KILL ?', [db.threadId ?? 0]);
      await write(db, 'UPDATE crossing SET n = 100', []);
    });
    await expect(dying).rejects.toThrow(/^The database answered/);
    const rows = await rowsOf<{ n: number }>(house.pool, 'SELECT n FROM crossing');
    expect(rows.map(({ n }) => n)).toEqual([4, 4]);
  });
});
