import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { readdir } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '../../../test-support/house';
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
});
