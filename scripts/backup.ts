/**
 * Makes a backup of a bakery while it is in use, and lets go of those that no day, week or month keeps. Started by
 * bin/backup, every night.
 */
import { mkdirSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { makeBackup, thinBackups } from '@/server/backup/backup';
import { USUAL_RETENTION } from '@/server/backup/retention';
import { sealFile } from '@/server/backup/seal';
import { connect } from '@/server/db/pool';
import { noteBackup } from '@/server/store/backups';
import { join } from 'node:path';
import { passphraseIn } from './lib/key-file';
import { addressIn } from './lib/running';
import { ownSecrets } from './lib/secrets';

const { values } = parseArgs({
  options: {
    folder: { type: 'string' },
    to: { type: 'string', default: 'data/backups' },
    'key-file': { type: 'string' },
    days: { type: 'string', default: String(USUAL_RETENTION.days) },
    weeks: { type: 'string', default: String(USUAL_RETENTION.weeks) },
    months: { type: 'string', default: String(USUAL_RETENTION.months) },
  },
});

/** A whole number of at least one that was typed. */
function countOf(name: 'days' | 'weeks' | 'months'): number {
  const count = Number(values[name]);
  if (!Number.isInteger(count) || count < 1) throw new Error(`--${name} wants a whole number from 1.`);
  return count;
}

async function main(): Promise<void> {
  const retention = { days: countOf('days'), weeks: countOf('weeks'), months: countOf('months') };
  const url = values.folder === undefined ? process.env.DATABASE_URL : addressIn(values.folder);
  if (!url) throw new Error('Set DATABASE_URL, or name the data folder of a running bakery with --folder.');
  const passphrase = passphraseIn(values['key-file']);
  mkdirSync(values.to, { recursive: true, mode: 0o700 });
  const { name, manifest } = await makeBackup(url, values.to, passphrase ? { passphrase } : {});
  const secrets = ownSecrets(values.folder);
  if (passphrase && secrets !== null)
    await sealFile(secrets, join(values.to, name, 'secrets.json.sealed'), passphrase);
  const db = connect(url, 1, 0);
  const { madeAt, bytes, sealed } = manifest;
  await noteBackup(db, { madeAt: Date.parse(madeAt), name, bytes, sealed }).finally(() => db.end());
  const gone = await thinBackups(values.to, retention);
  const rows = Object.values(manifest.rows).reduce((sum, count) => sum + count, 0);
  console.log(`Backed up to ${join(values.to, name)}: ${rows} rows, ${(bytes / 1e6).toFixed(1)} MB.`);
  if (gone.length > 0) console.log(`Removed, kept by no day, week or month: ${gone.join(', ')}.`);
  if (!passphrase || secrets === null)
    console.log(
      'The pepper of the PINs is not in it: keep a copy of your secrets apart. Without it no PIN is right.',
    );
}

main().catch((error: unknown) => {
  console.error(`No backup was made: ${error instanceof Error ? error.message : String(error)}`);
  process.exit(1);
});
