import { type Db, rowOf } from '../db/rows';

/** What a command of this key came to, where it was carried out. */
export function commandDone(db: Db, key: string) {
  return rowOf<{ command: string; personId: number; result: unknown }>(
    db,
    'SELECT command, person_id AS personId, result FROM command_done WHERE id = ?',
    [key],
  );
}
