import { copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { readdir } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../test-support/house';
import { createConnection } from 'mysql2/promise';
import { migrate } from './migrate';
import { rowsOf } from './rows';

let house: Awaited<ReturnType<typeof freshDatabase>>;
const folder = mkdtempSync(join(tmpdir(), 'hefeteig-migrations-'));
beforeAll(async () => {
  house = await freshDatabase();
});
afterAll(async () => {
  await house.close();
  rmSync(folder, { recursive: true });
});

describe('migrations', () => {
  it('run once, also when two processes start together', async () => {
    const again = await Promise.all([migrate(house.url), migrate(house.url)]);
    expect(again).toEqual([[], []]);
    const rows = await rowsOf<{ name: string }>(house.pool, 'SELECT name FROM migration ORDER BY name');
    expect(rows.map(({ name }) => name)).toEqual((await readdir('db/migrations')).sort());
  });

  it('refuse a file that has changed or gone since it was applied', async () => {
    await expect(migrate(house.url, folder)).rejects.toThrow(/not at its place/);
    for (const name of await readdir('db/migrations')) writeFileSync(join(folder, name), 'SELECT 1;');
    await expect(migrate(house.url, folder)).rejects.toThrow(/has changed/);
  });

  it('give what was recorded under an old name its new one, and keep it from being changed as before', async () => {
    const older = join(folder, 'older');
    mkdirSync(older);
    for (const name of await readdir('db/migrations'))
      if (name < '0053') copyFileSync(join('db/migrations', name), join(older, name));
    const name = `test_older_${process.pid}`;
    const url = house.url.replace(/[^/]+$/, name);
    await house.pool.query(`CREATE DATABASE ${name}`);
    const db = await createConnection({ uri: url });
    try {
      await migrate(url, older);
      await db.query('SET FOREIGN_KEY_CHECKS = 0');
      await db.query(
        `INSERT INTO floor_event (id, dough_id, step_key, kind, at, person_id, data)
         VALUES ('a', 1, 'retard', 'needle', '2026-11-18 10:00:00', 1, '{"kind": "needle", "needle": "needle-2"}'),
           ('b', 1, 'retard', 'needle', '2026-11-18 11:00:00', 1, '{"kind": "needle", "needle": null}'),
           ('c', 1, 'retard', 'start', '2026-11-18 09:00:00', 1, NULL)`,
      );
      expect(await migrate(url)).toContain('0053_core_probe_events.sql');
      const [kept] = await db.query(
        "SELECT kind, JSON_VALUE(data, '$.kind') AS what, JSON_VALUE(data, '$.probe') AS probe FROM floor_event ORDER BY seq",
      );
      expect(kept).toEqual([
        { kind: 'probe', what: 'probed', probe: 'needle-2' },
        { kind: 'probe', what: 'probed', probe: null },
        { kind: 'start', what: null, probe: null },
      ]);
      const [places] = await db.query('SELECT id FROM place WHERE in_dough ORDER BY id');
      expect(places).toEqual([{ id: 'core-1' }, { id: 'needle-2' }]);
      await expect(db.query("UPDATE floor_event SET kind = 'note'")).rejects.toThrow(/not changed/);
    } finally {
      await db.end();
      await house.pool.query(`DROP DATABASE ${name}`);
    }
  });
});
