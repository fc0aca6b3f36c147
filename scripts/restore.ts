/**
 * Reads a backup into an empty database, and proves that all of it is there. Started by bin/restore: of DATABASE_URL, or with
 * --folder into a data folder that is begun with it.
 */
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { parseArgs } from 'node:util';
import { restoreBackup } from '@/server/backup/backup';
import { unsealed } from '@/server/backup/seal';
import { passphraseIn } from './lib/key-file';
import { createDatabase, type Database, passwordOf, startDatabase } from './lib/mariadb';
import { freePort } from './lib/ports';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { folder: { type: 'string' }, 'key-file': { type: 'string' } },
});

async function main(): Promise<void> {
  const [backup] = positionals;
  if (!backup) throw new Error('Name the backup: bin/restore data/backups/2026-11-19T02-00-00Z');
  const passphrase = passphraseIn(values['key-file']);
  const key = passphrase ? { passphrase } : {};
  let database: Database | null = null;
  try {
    if (values.folder !== undefined) {
      mkdirSync(values.folder, { recursive: true });
      database = await startDatabase(values.folder, await freePort(), passwordOf(values.folder));
    }
    const url = database ? await createDatabase(database, 'hefeteig') : process.env.DATABASE_URL;
    if (!url)
      throw new Error('Set DATABASE_URL to an empty database, or name a new data folder with --folder.');
    const { madeAt, rows } = await restoreBackup(url, backup, key);
    const all = Object.values(rows).reduce((sum, count) => sum + count, 0);
    console.log(
      `Restored as it was at ${madeAt}: ${all} rows in ${Object.keys(rows).length} tables, all of them there.`,
    );
    console.log(`Recorded steps: ${rows.floor_event ?? 0}; photos: ${rows.photo ?? 0}.`);
    if (values.folder !== undefined) await restoreSecrets(backup, values.folder, passphrase);
  } finally {
    await database?.stop();
  }
}

/** The secrets that a sealed backup has with it come to where the bakery looks for them. */
async function restoreSecrets(backup: string, folder: string, passphrase: string | undefined): Promise<void> {
  const [sealed, file] = [join(backup, 'secrets.json.sealed'), join(folder, 'secrets.json')];
  if (!passphrase || !existsSync(sealed) || existsSync(file)) return;
  writeFileSync(file, await buffer(await unsealed(sealed, passphrase)), { mode: 0o600 });
  console.log(`Session keys and the pepper of PINs are in ${file}.`);
}

main().catch((error: unknown) => {
  console.error(`It was not restored: ${error instanceof Error ? error.message : String(error)}`);
  process.exit(1);
});
