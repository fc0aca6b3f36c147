import { doorOpenings, probeMoves } from '@/core/climate/doors';
import type { DoorOpening } from '@/core/shopfloor/catch-up';
import { type Db, rowsOf } from '../db/rows';

/** How far back steps are entered that nobody recorded, ms. */
const BACK = 36 * 3_600_000;

/** When the doors of the bakery's places were opened, and core probes put in or taken out, by what they read in the last day and a half. */
export async function doorsOpened(db: Db, now: number): Promise<DoorOpening[]> {
  const rows = await rowsOf<{ place: string; at: Date; celsius: number; inDough: number }>(
    db,
    `SELECT r.place, r.at, r.celsius, p.in_dough AS inDough FROM place_reading r JOIN place p ON p.id = r.place
     WHERE p.removed_at IS NULL AND r.source = 'probe' AND r.doubted = 0 AND r.at > ? AND r.at <= ?
     ORDER BY r.place, r.at`,
    [new Date(now - BACK), new Date(now)],
  );
  const places = [...new Set(rows.map(({ place }) => place))];
  return places.flatMap((place) => {
    const own = rows.filter((row) => row.place === place);
    const seen = own[0]?.inDough ? probeMoves : doorOpenings;
    return seen(own.map(({ at, celsius }) => ({ at: at.getTime(), celsius }))).map((at) => ({
      place,
      at,
    }));
  });
}
