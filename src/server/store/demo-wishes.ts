import type { DemoWishes } from '@/core/wire/demo-wishes';
import { type Db, rowsOf, write } from '../db/rows';

/** What a visitor has asked of the demo's stand-ins; null in a bakery that is no demo. */
export async function demoWishes(db: Db, now: number): Promise<DemoWishes | null> {
  const [row] = await rowsOf<{ crew: number; place: string | null; until: Date | null }>(
    db,
    'SELECT crew, open_door AS place, door_shut_at AS until FROM demo_clock',
  );
  if (!row) return null;
  const { crew, place, until } = row;
  const open = place !== null && until !== null && until.getTime() > now;
  return { crew: crew === 1, door: open ? { place, until: until.getTime() } : null };
}

export async function letCrewWork(db: Db, crew: boolean): Promise<void> {
  await write(db, 'UPDATE demo_clock SET crew = ? WHERE id = 1', [crew]);
}

export async function leaveDoorOpen(
  db: Db,
  { place, until }: { place: string; until: number },
): Promise<void> {
  await write(db, 'UPDATE demo_clock SET open_door = ?, door_shut_at = ? WHERE id = 1', [
    place,
    new Date(until),
  ]);
}
