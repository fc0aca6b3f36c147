import type { Sender } from '@/core/bakery/house-book';
import { tokenHash } from '../auth/token';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

/** The device of a token that may still send. */
export function deviceByToken(db: Db, token: string, kind: Sender['kind']) {
  return rowOf<{ id: string }>(
    db,
    'SELECT id FROM device WHERE token_hash = ? AND kind = ? AND removed_at IS NULL',
    [...[tokenHash(token), kind]],
  );
}

/** Probes and scales that may send, in the order in which they were let in. */
export async function senders(db: Db): Promise<Sender[]> {
  const rows = await rowsOf<Omit<Sender, 'madeAt'> & { madeAt: Date | null }>(
    db,
    `SELECT id, kind, IF(label = '', id, label) AS label, made_at AS madeAt FROM device
     WHERE removed_at IS NULL ORDER BY made_at, id`,
  );
  return rows.map(({ madeAt, ...row }) => ({ ...row, madeAt: madeAt?.getTime() ?? null }));
}

/** A device that may send. */
export const senderById = (db: Db, id: string) =>
  rowOf<{ id: string; label: string }>(
    db,
    "SELECT id, IF(label = '', id, label) AS label FROM device WHERE id = ? AND removed_at IS NULL",
    [id],
  );

/** Another device of this name that may send. */
export const senderCalled = (db: Db, label: string) =>
  rowOf<{ id: string }>(
    db,
    "SELECT id FROM device WHERE IF(label = '', id, label) = ? AND removed_at IS NULL",
    [label],
  );

/** Lets a device send. */
export async function insertSender(
  db: Db,
  { id, kind, label, token, at }: Omit<Sender, 'madeAt'> & { token: string; at: number },
): Promise<void> {
  await write(db, 'INSERT INTO device (id, kind, label, token_hash, made_at) VALUES (?, ?, ?, ?, ?)', [
    ...[id, kind, label, tokenHash(token), new Date(at)],
  ]);
}

/** Lets a device send no more; what it has sent is kept. */
export async function markSenderRemoved(db: Db, id: string, at: number): Promise<void> {
  await write(db, 'UPDATE device SET removed_at = ? WHERE id = ?', [new Date(at), id]);
}
