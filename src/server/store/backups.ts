import { type Db, rowOf, rowsOf, write } from '../db/rows';

/** A backup that was made: when, as what, how large. */
export interface BackupMade {
  madeAt: number;
  name: string;
  bytes: number;
  sealed: boolean;
}

/** The tables of a database. */
export const tablesOf = async (db: Db): Promise<string[]> =>
  (
    await rowsOf<{ name: string }>(
      db,
      'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY table_name',
    )
  ).map(({ name }) => name);

/** The newest migration that a database has had. */
export async function newestMigration(db: Db): Promise<string> {
  const row = await rowOf<{ name: string }>(db, 'SELECT name FROM migration ORDER BY name DESC LIMIT 1');
  if (!row) throw new Error('This database is not one of Hefeteig.');
  return row.name;
}

/** Rows that a table really has; `table` is one of `tablesOf`. */
export async function rowsIn(db: Db, table: string): Promise<number> {
  const row = await rowOf<{ rows: number }>(db, 'SELECT COUNT(*) AS `rows` FROM ??', [table]);
  return row?.rows ?? 0;
}

/** Writes down that a backup was made. */
export async function noteBackup(db: Db, { madeAt, name, bytes, sealed }: BackupMade): Promise<void> {
  await write(db, 'INSERT INTO backup (made_at, name, bytes, sealed) VALUES (?, ?, ?, ?)', [
    ...[new Date(madeAt), name, bytes, sealed],
  ]);
}

/** The newest backup that was made; null where there is none. */
export async function lastBackup(db: Db): Promise<BackupMade | null> {
  const row = await rowOf<{ madeAt: Date; name: string; bytes: number; sealed: number }>(
    db,
    'SELECT made_at AS madeAt, name, bytes, sealed FROM backup ORDER BY made_at DESC LIMIT 1',
  );
  return row && { ...row, madeAt: row.madeAt.getTime(), bytes: Number(row.bytes), sealed: row.sealed === 1 };
}
