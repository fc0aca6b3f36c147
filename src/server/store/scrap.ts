import type { ScrapStock } from '@/core/record/scrap';
import { effectiveEvents } from '@/core/record/undo';
import { inLabelOrder } from '@/core/shaping/dressing';
import { floorEvents } from './floor-events';
import { ingredientsAndFormulas } from './formulas';
import { houseSettings } from './house';
import { mixedIn, putIn } from './contents';
import { type Db, rowsOf } from '../db/rows';

const HOUR = 3_600_000;

/** Trimmings that wait to go into another dough, with their age and what is in them; the oldest first. */
export async function scrapStock(db: Db, now: number): Promise<ScrapStock[]> {
  const settings = await houseSettings(db);
  // Twice as far back as they may be used, so that what is too old is named and not simply gone.
  const since = now - 2 * settings.scrapHours * HOUR;
  const rows = await rowsOf<{ id: number; name: string }>(
    db,
    `SELECT d.id, d.name FROM dough d WHERE d.id IN
       (SELECT dough_id FROM floor_event WHERE kind = 'scrap' AND at > ?) ORDER BY d.id`,
    [new Date(since)],
  );
  if (rows.length === 0) return [];
  const [events, book] = await Promise.all([
    floorEvents(
      db,
      rows.map(({ id }) => id),
    ),
    ingredientsAndFormulas(db),
  ]);
  const counting = new Map(rows.map(({ id }) => [id, effectiveEvents(events.get(id) ?? [])]));
  const taken = (from: number) =>
    [...counting.values()].flat().reduce((sum, { data }) => {
      return data?.kind === 'scrap-taken' && data.from === from ? sum + data.grams : sum;
    }, 0);
  const stock: ScrapStock[] = [];
  for (const { id, name } of rows) {
    const own = (counting.get(id) ?? []).filter(({ data }) => data?.kind === 'scrap' && data.use === 'share');
    const grams =
      own.reduce((sum, { data }) => sum + (data?.kind === 'scrap' ? data.grams : 0), 0) - taken(id);
    const [first] = own;
    if (!first || grams < 1) continue;
    stock.push({
      ...{ fromDough: id, name, grams: Math.round(grams), hours: (now - first.at) / HOUR },
      allergens: inLabelOrder([...(await mixedIn(db, id, book)), ...putIn(counting.get(id) ?? [], book)]),
    });
  }
  return stock.sort((a, b) => b.hours - a.hours);
}

/** What the house lets into a dough: share of it, and hours of age. */
export async function scrapLimits(db: Db): Promise<{ share: number; mostHours: number }> {
  const settings = await houseSettings(db);
  return { share: settings.scrapShare, mostHours: settings.scrapHours };
}
