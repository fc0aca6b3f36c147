import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { connectionOptions, OWN_SESSION } from './pool';

const FOLDER = join(process.cwd(), 'db', 'migrations');
const LOCK = 'hefeteig-migrations';

/**
 * Brings a database up to date: the numbered files of `db/migrations`, in order, each once. Safe when two processes
 * start together, since one waits for the other. Returns the names of the files that were applied now.
 *
 * A file that was applied and has changed since, or is missing, is an error: history is not rewritten. Files hold
 * statements that may run again, so one that was cut off by a crash is simply repeated.
 */
export async function migrate(url: string, folder = FOLDER): Promise<string[]> {
  const db = await createConnection({ ...connectionOptions(url), multipleStatements: true });
  try {
    await db.query(OWN_SESSION);
    const [[got]] = await db.query<RowDataPacket[]>('SELECT GET_LOCK(?, 60) AS held', [LOCK]);
    if (got?.held !== 1) throw new Error('Another process has been changing the database for a minute.');
    await db.query(
      'CREATE TABLE IF NOT EXISTS migration (name VARCHAR(120) PRIMARY KEY, digest CHAR(64) NOT NULL, applied_at DATETIME(3) NOT NULL)',
    );
    const [rows] = await db.query<RowDataPacket[]>('SELECT name, digest FROM migration ORDER BY name');
    const files = (await readdir(folder)).filter((name) => /^\d{4}_.*\.sql$/.test(name)).sort();
    const applied: string[] = [];
    const gone = rows.find((row, i) => files[i] !== row.name);
    if (gone)
      throw new Error(`Migration ${gone.name} was applied, but is not at its place in db/migrations.`);
    for (const [i, name] of files.entries()) {
      const text = await readFile(join(folder, name), 'utf8');
      const digest = createHash('sha256').update(text).digest('hex');
      const before = rows[i];
      if (before && before.digest !== digest)
        throw new Error(`Migration ${name} has changed since it was applied.`);
      if (before) continue;
      await db.query(text);
      await db.query('INSERT INTO migration (name, digest, applied_at) VALUES (?, ?, UTC_TIMESTAMP(3))', [
        name,
        digest,
      ]);
      applied.push(name);
    }
    return applied;
  } finally {
    await db.end();
  }
}
