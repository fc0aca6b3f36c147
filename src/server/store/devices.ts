import { tokenHash } from '../auth/token';
import { type Db, rowOf } from '../db/rows';

/** The device of a token. */
export function deviceByToken(db: Db, token: string, kind: 'probes' | 'scale') {
  return rowOf<{ id: string }>(db, 'SELECT id FROM device WHERE token_hash = ? AND kind = ?', [
    ...[tokenHash(token), kind],
  ]);
}
