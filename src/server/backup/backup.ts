import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, open, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { PassThrough } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import type { Pool } from 'mysql2/promise';
import { connect } from '../db/pool';
import { newestMigration, rowsIn, tablesOf } from '../store/backups';
import { dump, load } from './client';
import { counting } from './count';
import { type Manifest, MANIFEST, readManifest } from './manifest';
import { kept, type Retention } from './retention';
import { sealing, unsealed } from './seal';

/** A folder that is no backup yet: it is begun anew by the next one. */
const UNFINISHED = '.unfinished';

const nameOf = (at: Date): string => at.toISOString().slice(0, 19).replaceAll(':', '-') + 'Z';

/** SHA-256 of a file, hexadecimal. */
async function digestOf(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** Writes everything on disk before it is called by its name. */
async function settle(path: string): Promise<void> {
  const handle = await open(path);
  await handle.sync();
  await handle.close();
}

/**
 * Makes a backup of a database while it is in use, in a folder of its own under `folder`, named by its time. It is there as a
 * whole or not at all. With a passphrase it is sealed by it.
 *
 * @returns the folder's name, and what it says of itself
 * @throws {Error} where the database cannot be read to its end
 */
export async function makeBackup(
  url: string,
  folder: string,
  { passphrase, at = new Date() }: { passphrase?: string; at?: Date },
): Promise<{ name: string; manifest: Manifest }> {
  const making = join(folder, UNFINISHED);
  await rm(making, { recursive: true, force: true });
  await mkdir(making, { recursive: true, mode: 0o700 });
  const sealed = passphrase !== undefined;
  const file = sealed ? 'database.sql.gz.sealed' : 'database.sql.gz';
  const target = join(making, file);
  const { process: dumper, done } = dump(url);
  const { through, counted } = counting();
  if (!dumper.stdout) throw new Error('The dump has no way out.');
  await Promise.all([
    done,
    pipeline(
      dumper.stdout,
      through,
      createGzip(),
      passphrase === undefined ? new PassThrough() : sealing(passphrase),
      createWriteStream(target, { mode: 0o600 }),
    ),
  ]);
  if (!counted.isWhole) throw new Error('The dump broke off before its end.');
  await settle(target);
  const manifest: Manifest = {
    ...{ format: 'hefeteig-backup/1', madeAt: at.toISOString(), file, sealed },
    ...{ bytes: (await stat(target)).size, sha256: await digestOf(target) },
    ...{ migration: await askIn(url, newestMigration), rows: counted.rows },
  };
  await writeFile(join(making, MANIFEST), `${JSON.stringify(manifest, null, 2)}\n`, { mode: 0o600 });
  const name = nameOf(at);
  await rename(making, join(folder, name));
  await settle(folder);
  return { name, manifest };
}

/** The backups in a folder, oldest first; what is none is left alone. */
export async function backupsIn(folder: string): Promise<{ name: string; madeAt: number }[]> {
  const names = (await readdir(folder)).filter((name) => /^\d{4}-\d\d-\d\dT\d\d-\d\d-\d\dZ$/.test(name));
  const all = await Promise.all(
    names.map(async (name) => {
      const { madeAt } = readManifest(await readFile(join(folder, name, MANIFEST), 'utf8'));
      return { name, madeAt: Date.parse(madeAt) };
    }),
  );
  return all.sort((a, b) => a.madeAt - b.madeAt);
}

/** Removes the backups that no day, week or month keeps; says which. */
export async function thinBackups(folder: string, retention: Retention): Promise<string[]> {
  const all = await backupsIn(folder);
  const stays = kept(
    all.map(({ madeAt }) => madeAt),
    retention,
  );
  const gone = all.filter(({ madeAt }) => !stays.has(madeAt)).map(({ name }) => name);
  for (const name of gone) await rm(join(folder, name), { recursive: true });
  return gone;
}

/**
 * Reads a backup into an empty database, and holds every table's rows against what the backup says of itself.
 *
 * @throws {Error} where the database is not empty, a byte of the backup is another, the passphrase is not its own, or a row
 *   is missing
 */
export async function restoreBackup(
  url: string,
  folder: string,
  { passphrase }: { passphrase?: string },
): Promise<Manifest> {
  const text = await readFile(join(folder, MANIFEST), 'utf8').catch(() => null);
  if (text === null) throw new Error(`There is no backup in ${folder}.`);
  const manifest = readManifest(text);
  const source = join(folder, manifest.file);
  if ((await askIn(url, tablesOf)).length > 0)
    throw new Error('The database is not empty. Restore into a new one.');
  if ((await digestOf(source)) !== manifest.sha256)
    throw new Error(`${manifest.file} is not as it was written: it is damaged.`);
  if (manifest.sealed && passphrase === undefined)
    throw new Error('This backup is sealed: give the file with its passphrase.');
  const packed = manifest.sealed ? await unsealed(source, passphrase ?? '') : createReadStream(source);
  const { process: loader, done } = load(url);
  if (!loader.stdin) throw new Error('The database has no way in.');
  try {
    await Promise.all([done, pipeline(packed, createGunzip(), loader.stdin)]);
  } catch (error) {
    loader.kill();
    throw error;
  }
  await askIn(url, (db) => holdAgainst(db, manifest));
  return manifest;
}

/** Every table has the rows that the backup had: none is missing, and none is there twice. */
async function holdAgainst(db: Pool, { rows }: Manifest): Promise<void> {
  const there = await tablesOf(db);
  for (const table of new Set([...there, ...Object.keys(rows)])) {
    const [has, should] = [there.includes(table) ? await rowsIn(db, table) : 0, rows[table] ?? 0];
    if (has !== should) throw new Error(`${table} should have ${should} rows and has ${has}.`);
  }
}

async function askIn<T>(url: string, ask: (db: Pool) => Promise<T>): Promise<T> {
  const db = connect(url, 1, 0);
  try {
    return await ask(db);
  } finally {
    await db.end();
  }
}
