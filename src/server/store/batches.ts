import type { EventOf, FloorEvent, PieceCount } from '@/core/record/events';
import { MARKS } from '@/core/record/marks';
import { effectiveEvents } from '@/core/record/undo';
import { eventsOfKinds } from './floor-events';
import { FLOOR_DAYS, sharedBoard } from './shared-board';
import { like } from '../db/like';
import { type Db, rowsOf, type SqlValue } from '../db/rows';

/** What batches are looked for by; what is left out does not matter. */
export interface BatchSearch {
  product?: string;
  /** Finished from and to, ms. */
  from?: number;
  to?: number;
  /** Mean mark at most. */
  mark?: number;
  /** A word in a note or a reason. */
  word?: string;
}

/** One batch in a list. */
export interface BatchLine {
  id: number;
  name: string;
  products: readonly string[];
  /** When the last of its work was done; where nobody has said so, when it was promised for. */
  finishedAt: number;
  counted: Omit<PieceCount, 'kind'> | null;
  /** Mean of the marks that were given last. */
  mean: number | null;
}

/** Most batches in one list, and most that are looked through for a mark. */
const LISTED = 60;
const LOOKED_THROUGH = 1000;
/** How far back is looked, days, until enough is found: a house with years of batches does not sort them all. */
const REACHES = [5, 30, 365, null];
const DAY = 24 * 3_600_000;

/**
 * Batches that are finished, the newest first, whether they are wanted yet or not. Those that the floor has lost sight of
 * count as finished when they were promised for.
 */
export async function findBatches(db: Db, now: number, search: BatchSearch): Promise<BatchLine[]> {
  let rows: Row[] = [];
  const most = search.mark === undefined ? LISTED : LOOKED_THROUGH;
  const { doughs } = await sharedBoard(db, now, FLOOR_DAYS);
  const known = {
    open: doughs.flatMap(({ id, finished }) => (finished === undefined ? [id] : [])),
    done: doughs.flatMap(({ id, finished }) => (finished === undefined ? [] : [id])),
  };
  for (const days of REACHES) {
    const reach = days === null ? -Infinity : (search.to ?? now) - days * DAY;
    const from = Math.max(search.from ?? -Infinity, reach);
    const since = from === -Infinity ? undefined : from;
    rows = await newestBatches(db, { ...search, ...known, from: since, now, most });
    if (rows.length >= most || from > reach) break;
  }
  if (rows.length === 0) return [];
  const told = await eventsOfKinds(
    db,
    rows.map(({ id }) => id),
    ['count', 'marks', 'undo'],
  );
  const lines = rows.map(({ finishedAt, products, ...row }) => {
    const own = effectiveEvents(told.filter(({ doughId }) => doughId === row.id));
    return {
      ...{ ...row, products: products.split('\n'), finishedAt: finishedAt.getTime() },
      ...{ counted: countOf(own), mean: meanOf(own) },
    };
  });
  const { mark } = search;
  const found = mark === undefined ? lines : lines.filter(({ mean }) => mean !== null && mean <= mark);
  return found.slice(0, LISTED);
}

interface Row {
  id: number;
  name: string;
  products: string;
  finishedAt: Date;
}

interface Sought extends Omit<BatchSearch, 'from'> {
  from: number | undefined;
  now: number;
  most: number;
  /** Doughs of the floor that are not finished, and that are. */
  open: readonly number[];
  done: readonly number[];
}

/** A dough is finished some days around its promise at most. */
const AROUND = 4 * DAY;

function newestBatches(db: Db, search: Sought): Promise<Row[]> {
  const having: [string, ...SqlValue[]][] = [
    ['(MAX(o.due_at) <= ? OR d.id IN (?))', new Date(search.now), [0, ...search.done]],
    ['d.id NOT IN (?)', [0, ...search.open]],
  ];
  if (search.to !== undefined) having.push(['finishedAt < ?', new Date(search.to)]);
  if (search.from !== undefined) having.push(['finishedAt >= ?', new Date(search.from)]);
  if (search.product)
    having.push([
      // By whatever it is called, in any language.
      "LOWER(GROUP_CONCAT(p.name, COALESCE(JSON_EXTRACT(p.names, '$.*.*'), ''))) LIKE LOWER(?)",
      like(search.product),
    ]);
  if (search.word)
    having.push([
      'EXISTS (SELECT 1 FROM floor_event e WHERE e.dough_id = d.id AND e.text LIKE ?)',
      like(search.word),
    ]);
  const from = search.from === undefined ? [] : [new Date(search.from - AROUND)];
  return rowsOf<Row>(
    db,
    `SELECT STRAIGHT_JOIN d.id, d.name, GROUP_CONCAT(DISTINCT p.name ORDER BY p.name SEPARATOR '\\n') AS products,
       COALESCE(
         (SELECT MAX(e.at) FROM floor_event e WHERE e.dough_id = d.id AND e.kind IN ('finish', 'skip', 'lost', 'close')),
         MAX(o.due_at)) AS finishedAt
     FROM (SELECT DISTINCT dough_id FROM dough_output ${from.length > 0 ? 'WHERE due_at >= ?' : ''}) late
       JOIN dough d ON d.id = late.dough_id JOIN dough_output o ON o.dough_id = d.id JOIN product_version v ON v.id = o.product_version_id
       JOIN product p ON p.id = v.product_id
     WHERE d.removed_at IS NULL GROUP BY d.id, d.name
     HAVING ${having.map(([condition]) => condition).join(' AND ')}
     ORDER BY finishedAt DESC, d.id DESC LIMIT ${search.most}`,
    [...from, ...having.flatMap(([, ...values]) => values)],
  );
}

/** The last of each step counts. */
function lastOf<Kind extends 'count' | 'marks'>(
  told: readonly FloorEvent[],
  kind: Kind,
): EventOf<Kind>['data'][] {
  const last = new Map(
    told.flatMap((event) => (event.kind === kind ? [[event.stepKey, event.data]] : [])) as [
      string | null,
      EventOf<Kind>['data'],
    ][],
  );
  return [...last.values()];
}

function countOf(told: readonly FloorEvent[]): BatchLine['counted'] {
  const counts = lastOf(told, 'count');
  if (counts.length === 0) return null;
  const sum = (of: (counted: PieceCount) => number) => counts.reduce((all, one) => all + of(one), 0);
  return { good: sum((c) => c.good), second: sum((c) => c.second), waste: sum((c) => c.waste) };
}

function meanOf(told: readonly FloorEvent[]): number | null {
  const marks = lastOf(told, 'marks').flatMap((one) => MARKS.flatMap((mark) => one.marks[mark] ?? []));
  return marks.length === 0 ? null : marks.reduce((sum: number, mark) => sum + mark, 0) / marks.length;
}

/** The product of each of these outputs, by the output's id. */
export async function productOfOutput(db: Db, outputIds: readonly number[]): Promise<Map<number, number>> {
  const rows = await rowsOf<{ id: number; productId: number }>(
    db,
    `SELECT o.id, v.product_id AS productId FROM dough_output o JOIN product_version v ON v.id = o.product_version_id
     WHERE o.id IN (?)`,
    [[0, ...outputIds]],
  );
  return new Map(rows.map(({ id, productId }) => [id, productId]));
}
