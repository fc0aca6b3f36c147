import type { Pool } from 'mysql2/promise';
import { newToken, tokenHash } from '@/server/auth/token';
import { write } from '@/server/db/rows';

/** A session of somebody on a tablet of their own, without a browser; returns its number. */
export async function openSession(pool: Pool, personId: number): Promise<number> {
  const tablet = await write(
    pool,
    "INSERT INTO tablet (name, token_hash, enrolled_at) VALUES ('Test', ?, UTC_TIMESTAMP(3))",
    [tokenHash(newToken())],
  );
  const session = await write(
    pool,
    `INSERT INTO session (token_hash, person_id, tablet_id, began_at, seen_at)
     VALUES (?, ?, ?, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3))`,
    [tokenHash(newToken()), personId, tablet.id],
  );
  return session.id;
}
