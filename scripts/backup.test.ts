import { execFileSync, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection } from 'mysql2/promise';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../test-support/demo-house';
import { ok } from '../test-support/house';
import { makeBackup, restoreBackup, thinBackups } from '@/server/backup/backup';
import type { Manifest } from '@/server/backup/manifest';
import { runCommand } from '@/server/commands/run';
import { connect } from '@/server/db/pool';
import { rowOf } from '@/server/db/rows';
import { lastBackup, rowsIn, tablesOf } from '@/server/store/backups';

const folder = mkdtempSync(join(tmpdir(), 'hefeteig-backup-'));
const keyFile = join(folder, 'key');
writeFileSync(keyFile, 'a long passphrase that nobody guesses\n', { mode: 0o600 });
let house: Awaited<ReturnType<typeof demoHouse>>;
const made: string[] = [];

beforeAll(async () => {
  house = await demoHouse();
});
afterAll(async () => {
  const admin = await createConnection({ uri: `${process.env.HEFETEIG_TEST_DATABASE}mysql` });
  for (const name of made) await admin.query(`DROP DATABASE IF EXISTS ${name}`);
  await admin.end();
  await house.close();
  rmSync(folder, { recursive: true, force: true });
});

/** An empty database to restore into. */
async function emptyDatabase(): Promise<string> {
  const name = `restored_${randomUUID().slice(0, 8)}`;
  const admin = await createConnection({ uri: `${process.env.HEFETEIG_TEST_DATABASE}mysql` });
  await admin.query(`CREATE DATABASE ${name}`);
  await admin.end();
  made.push(name);
  return `${process.env.HEFETEIG_TEST_DATABASE}${name}`;
}

/** What every table holds. */
async function contents(url: string): Promise<Record<string, number>> {
  const db = connect(url, 1, 0);
  const rows: Record<string, number> = {};
  for (const table of await tablesOf(db)) rows[table] = await rowsIn(db, table);
  await db.end();
  return rows;
}

const note = (text: string) =>
  ok(
    runCommand('record-event', house.person('Jonas'), {
      ...{ id: randomUUID(), doughId: 1, stepKey: null, kind: 'note', text },
    }),
  );

describe('a backup', () => {
  it('is rehearsed: whatever was recorded is there again, the newest too, and still cannot be changed', async () => {
    await note('the last thing before the backup');
    const { name, manifest } = await makeBackup(house.url, folder, {});
    const before = await contents(house.url);
    await note('after the backup');
    const url = await emptyDatabase();
    await restoreBackup(url, join(folder, name), {});
    expect(await contents(url)).toEqual(before);
    expect(manifest.rows.floor_event).toBe(before.floor_event);
    const restored = connect(url, 1, 0);
    const newest = await rowOf<{ text: string }>(
      restored,
      'SELECT text FROM floor_event ORDER BY seq DESC LIMIT 1',
    );
    expect(newest?.text).toBe('the last thing before the backup');
    // What keeps the log from being changed is in the backup as well.
    await expect(restored.query("UPDATE floor_event SET text = 'other'")).rejects.toThrow(/not changed/);
    await restored.end();
  });

  it('is read into an empty database alone', async () => {
    const { name } = await makeBackup(house.url, folder, { at: new Date('2026-11-02T03:00:00Z') });
    await expect(restoreBackup(house.url, join(folder, name), {})).rejects.toThrow(/not empty/);
  });

  it('that was damaged, or sealed with another passphrase, is refused', async () => {
    const passphrase = 'a long passphrase';
    const { name } = await makeBackup(house.url, folder, {
      passphrase,
      at: new Date('2026-11-03T03:00:00Z'),
    });
    const backup = join(folder, name);
    const url = await emptyDatabase();
    await expect(restoreBackup(url, backup, {})).rejects.toThrow(/is sealed/);
    await expect(restoreBackup(url, backup, { passphrase: 'another' })).rejects.toThrow();
    const [file, manifest] = ['database.sql.gz.sealed', 'manifest.json'].map((one) => join(backup, one)) as [
      string,
      string,
    ];
    const whole = readFileSync(file);
    whole[1000] = (whole[1000] ?? 0) ^ 1;
    writeFileSync(file, whole);
    await expect(restoreBackup(await emptyDatabase(), backup, { passphrase })).rejects.toThrow(/damaged/);
    // A table that the backup has and the database has not.
    const other = await makeBackup(house.url, folder, { at: new Date('2026-11-04T03:00:00Z') });
    const said = join(folder, other.name, 'manifest.json');
    const more = { ...other.manifest, rows: { ...other.manifest.rows, nothing: 3 } };
    writeFileSync(said, JSON.stringify(more));
    await expect(restoreBackup(await emptyDatabase(), join(folder, other.name), {})).rejects.toThrow(
      /nothing should have 3 rows and has 0/,
    );
    rmSync(join(folder, other.name), { recursive: true });
    writeFileSync(manifest, '{"format":"other"}');
    await expect(restoreBackup(await emptyDatabase(), backup, { passphrase })).rejects.toThrow(/no manifest/);
    rmSync(backup, { recursive: true });
  });

  it('that breaks off leaves nothing that looks like one', async () => {
    const before = readdirSync(folder).sort();
    await expect(makeBackup(house.url.replace(/[^/]+$/, 'nowhere'), folder, {})).rejects.toThrow(
      /mariadb-dump/,
    );
    expect(
      readdirSync(folder)
        .filter((name) => name !== '.unfinished')
        .sort(),
    ).toEqual(before);
  });

  it('is let go of when no day, week or month keeps it', async () => {
    const old = await makeBackup(house.url, folder, { at: new Date('2026-11-02T01:00:00Z') });
    expect(await thinBackups(folder, { days: 7, weeks: 5, months: 12 })).toEqual([old.name]);
  });
});

describe('bin/backup and bin/restore', () => {
  const run = (script: string, args: string[], url: string) => {
    const env = { ...process.env, DATABASE_URL: url, HEFETEIG_SECRETS: keyFile };
    return execFileSync(process.execPath, ['--import', 'tsx', `scripts/${script}.ts`, ...args], {
      ...{ env, encoding: 'utf8' as const },
    });
  };

  it('say what was saved and what was restored, and the house knows of it', async () => {
    const to = join(folder, 'nightly');
    expect(run('backup', ['--to', to, '--key-file', keyFile], house.url)).toMatch(
      /^Backed up to .*: \d+ rows/,
    );
    const [name = ''] = readdirSync(to);
    const manifest = JSON.parse(readFileSync(join(to, name, 'manifest.json'), 'utf8')) as Manifest;
    expect(manifest.sealed).toBe(true);
    expect(await lastBackup(house.pool)).toMatchObject({ name, sealed: true, bytes: manifest.bytes });
    const url = await emptyDatabase();
    expect(run('restore', [join(to, name), '--key-file', keyFile], url)).toMatch(/all of them there/);
  });

  it.each([
    ['backup', ['--key-file', 'EMPTY'], /^No backup was made: The key file .* is empty/],
    ['backup', ['--days', '0'], /^No backup was made: --days wants a whole number/],
    ['restore', [], /^It was not restored: Name the backup/],
    ['restore', ['nowhere'], /^It was not restored: There is no backup in nowhere/],
  ])('refuse what cannot be meant: %s %j', (script, args, why) => {
    const empty = join(folder, 'empty-key');
    writeFileSync(empty, '\n');
    const env = { ...process.env, DATABASE_URL: house.url };
    const { status, stderr } = spawnSync(
      process.execPath,
      ['--import', 'tsx', `scripts/${script}.ts`, ...args.map((one) => (one === 'EMPTY' ? empty : one))],
      { env, encoding: 'utf8' as const },
    );
    expect([status, stderr]).toEqual([1, expect.stringMatching(why)]);
  });

  it('end with 1 and a sentence where nothing can be done', () => {
    const env = { ...process.env, DATABASE_URL: '' };
    const { status, stderr } = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/backup.ts'], {
      ...{ env, encoding: 'utf8' as const },
    });
    expect([status, stderr]).toEqual([1, expect.stringMatching(/^No backup was made: Set DATABASE_URL/)]);
  });
});
