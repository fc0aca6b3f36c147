import { type Db, rowOf, write } from '../db/rows';

/** Sets a place's limits. */
export async function writeLimits(
  db: Db,
  { low, high, minutes, place }: { low: number | null; high: number | null; minutes: number; place: string },
): Promise<void> {
  await write(
    db,
    'UPDATE place SET alarm_low = ?, alarm_high = ?, alarm_minutes = ? WHERE id = ? AND NOT in_dough',
    [low, high, minutes, place],
  );
}

/** A place's limits; locked. */
export function limitsOf(db: Db, place: string) {
  return rowOf<{ label: string; low: number | null; high: number | null; minutes: number }>(
    db,
    `SELECT label, alarm_low AS low, alarm_high AS high, alarm_minutes AS minutes FROM place
       WHERE id = ? AND NOT in_dough FOR UPDATE`,
    [place],
  );
}
