import {
  type FromFreezer,
  movedByRecord,
  type Stock,
  stockAfter,
  type StockMove,
  stillToMove,
  usableAt,
  withoutOldest,
} from '@/core/demand/stock';
import type { StockKind } from '@/core/process/output-way';
import { type DoughRecord, stateOf } from '@/core/record/dough';
import { type Db, rowOf, rowsOf, write } from '../db/rows';
import { doughById } from './doughs';
import { houseSettings } from './house';

/** What a product version's stock of a kind is kept as; `kind` is text of the query. */
const item = (kind: string) =>
  `IF(${kind} = 'pieces', CONCAT('p', v.product_id), CONCAT('d', f.formula_id, '.', COALESCE(s.scheme_id, 0)))`;
const WITH_DOUGH = `JOIN formula_version f ON f.id = v.formula_version_id
     LEFT JOIN scheme_version s ON s.id = v.scheme_version_id`;
const KIND_OF_WAY = `CASE WHEN o.way IN ('to-freezer', 'from-freezer') THEN 'pieces'
       WHEN o.way = 'fresh' THEN 'pieces'
       WHEN o.way IN ('dough-to-cold', 'dough-from-cold') THEN 'cold-dough' ELSE 'frozen-dough' END`;
const NEWEST = 'v.version = (SELECT MAX(version) FROM product_version WHERE product_id = v.product_id)';

/** Minutes for which what is kept keeps, by kind. */
export async function keepMinutes(db: Db): Promise<Record<StockKind, number>> {
  const { piecesKeep, coldDoughKeeps, frozenDoughKeeps } = await houseSettings(db);
  const day = 24 * 60;
  return {
    ...{ pieces: piecesKeep * day, 'cold-dough': coldDoughKeeps * 60 },
    'frozen-dough': frozenDoughKeeps * day,
  };
}

/** Everything that is kept for later, with its lots, the oldest first. */
export async function stockNow(db: Db): Promise<Stock[]> {
  const [rows, keeps] = await Promise.all([
    rowsOf<Omit<StockMove, 'at'> & { at: Date }>(
      db,
      'SELECT item, kind, amount, at, dough_id AS doughId FROM stock_move ORDER BY at, id',
    ),
    keepMinutes(db),
  ]);
  return stockAfter(
    rows.map(({ at, ...row }) => ({ ...row, at: at.getTime() })),
    keeps,
  );
}

/** What was taken out of the freezer for orders that are still to come. */
export async function thawedFor(db: Db, from: number): Promise<FromFreezer[]> {
  const rows = await rowsOf<{ productId: number; dueAt: Date; pieces: number }>(
    db,
    `SELECT product_id AS productId, for_due AS dueAt, CAST(-SUM(amount) AS SIGNED) AS pieces
     FROM stock_move WHERE for_due >= ? GROUP BY product_id, for_due ORDER BY for_due`,
    [new Date(from)],
  );
  return rows.map(({ dueAt, pieces, ...row }) => ({
    ...row,
    dueAt: dueAt.getTime(),
    pieces: Number(pieces),
  }));
}

interface StockOutput {
  outputId: number;
  versionId: number;
  item: string;
  kind: StockKind;
}

/** Outputs that go to stock or come from it, of all doughs; of one, all: fresh pieces can be frozen as well. */
async function stockOutputs(db: Db, doughId: number | null = null): Promise<Map<number, StockOutput>> {
  const rows = await rowsOf<StockOutput>(
    db,
    `SELECT o.id AS outputId, v.id AS versionId, ${KIND_OF_WAY} AS kind, ${item(KIND_OF_WAY)} AS item
     FROM dough_output o JOIN product_version v ON v.id = o.product_version_id ${WITH_DOUGH}
     WHERE ${doughId === null ? "o.way <> 'fresh'" : 'o.dough_id = ?'}`,
    doughId === null ? [] : [doughId],
  );
  return new Map(rows.map((row) => [row.outputId, row]));
}

/** What is kept and promised to no planned batch. */
export async function freeStock(db: Db, doughs: readonly DoughRecord[]): Promise<Stock[]> {
  const [stock, outputs] = await Promise.all([stockNow(db), stockOutputs(db)]);
  const promised = stillToMove(doughs, 'out');
  return stock.flatMap((one) => {
    const taken = promised
      .filter(({ outputId, kind }) => kind === one.kind && outputs.get(outputId)?.item === one.item)
      .reduce((sum, { amount }) => sum + amount, 0);
    const lots = withoutOldest(one.lots, taken);
    const amount = lots.reduce((sum, lot) => sum + lot.amount, 0);
    return amount > 0 ? [{ ...one, lots, amount }] : [];
  });
}

/** A product as it can be in stock: as pieces, or as the dough that it is made of. */
export interface Keepable {
  productId: number;
  name: string;
  doughName: string;
  pieces: string;
  dough: string;
  /** The house makes it no more; of what is left it is still the name. */
  removed: boolean;
}

/** What every product is kept as, those that the house still makes first. */
export async function keepables(db: Db): Promise<Keepable[]> {
  const rows = await rowsOf<Omit<Keepable, 'removed'> & { removed: number }>(
    db,
    `SELECT v.product_id AS productId, p.name, p.dough_name AS doughName, p.removed_at IS NOT NULL AS removed,
       ${item("'pieces'")} AS pieces, ${item("'dough'")} AS dough
     FROM product_version v JOIN product p ON p.id = v.product_id ${WITH_DOUGH}
     WHERE ${NEWEST} ORDER BY removed, p.name`,
  );
  return rows.map((row) => ({ ...row, removed: row.removed === 1 }));
}

/** Shaped pieces in the freezer that are free and may still be used then, by product. */
export async function freePieces(
  db: Db,
  doughs: readonly DoughRecord[],
  at: number,
): Promise<Map<number, number>> {
  const [free, products] = await Promise.all([freeStock(db, doughs), keepables(db)]);
  return new Map(
    products.flatMap(({ productId, pieces }) => {
      const own = free.find((one) => one.kind === 'pieces' && one.item === pieces);
      const usable = own ? usableAt(own.lots, at) : 0;
      return usable > 0 ? [[productId, usable] as const] : [];
    }),
  );
}

/** How much of it is kept by then and free: what may still be used then, and what planned doughs bring in before. */
export async function stockBy(
  db: Db,
  doughs: readonly DoughRecord[],
  { item: wanted, kind, at }: { item: string; kind: StockKind; at: number },
): Promise<number> {
  const [free, outputs] = await Promise.all([freeStock(db, doughs), stockOutputs(db)]);
  const here = free
    .filter((one) => one.kind === kind && one.item === wanted)
    .reduce((sum, { lots }) => sum + usableAt(lots, at), 0);
  return stillToMove(doughs, 'in')
    .filter((move) => move.kind === kind && move.dueAt < at)
    .filter(({ outputId }) => outputs.get(outputId)?.item === wanted)
    .reduce((sum, { amount }) => sum + amount, here);
}

interface Move {
  kind: StockKind;
  amount: number;
  now: number;
  note: string;
  doughId?: number;
  forDue?: number | null;
  discarded?: boolean;
}

/** Writes down what went into stock or out of it, of a product version. */
async function writeMove(db: Db, versionId: number, move: Move): Promise<void> {
  const { kind, amount, now, note, doughId = null, forDue = null, discarded = false } = move;
  await write(
    db,
    `INSERT INTO stock_move (product_id, item, kind, amount, at, note, dough_id, for_due, discarded)
     SELECT v.product_id, ${item('?')}, ?, ?, ?, ?, ?, ?, ? FROM product_version v ${WITH_DOUGH} WHERE v.id = ?`,
    [
      ...[kind, kind, amount, new Date(now), note, doughId],
      ...[forDue === null ? null : new Date(forDue), discarded, versionId],
    ],
  );
}

/** Writes down what somebody has counted, taken or thrown away of a product. */
export async function writeStockMove(db: Db, productId: number, move: Move): Promise<void> {
  const row = await rowOf<{ id: number }>(
    db,
    `SELECT v.id FROM product_version v WHERE v.product_id = ? AND ${NEWEST}`,
    [productId],
  );
  if (row) await writeMove(db, row.id, move);
}

/** How much is kept of a product in this form; locked. */
export async function lockedStock(db: Db, productId: number, kind: StockKind): Promise<number> {
  const row = await rowOf<{ amount: number | null }>(
    db,
    `SELECT CAST(SUM(amount) AS SIGNED) AS amount FROM stock_move WHERE kind = ? AND item =
       (SELECT ${item('?')} FROM product_version v ${WITH_DOUGH} WHERE v.product_id = ? AND ${NEWEST}) FOR UPDATE`,
    [kind, kind, productId],
  );
  return Number(row?.amount ?? 0);
}

/** Which dough it was, and where its pieces are, as far as that was said. */
function noteOf(dough: DoughRecord): string {
  const places = [...stateOf(dough).bagged.values()].flatMap(({ where }) => where ?? []);
  return [dough.name, ...places].join(', ').slice(0, 200);
}

/** Brings the stock to what was recorded of a dough: what is taken back there is taken back here. */
export async function settleStock(db: Db, doughId: number, now: number): Promise<void> {
  const outputs = await stockOutputs(db, doughId);
  if (outputs.size === 0) return;
  const dough = await doughById(db, doughId);
  if (!dough) return;
  const keyOf = (one: { item: string; kind: StockKind }) => `${one.item} ${one.kind}`;
  const wanted = new Map<string, number>();
  for (const [outputId, amount] of movedByRecord(dough)) {
    const output = outputs.get(outputId);
    if (output) wanted.set(keyOf(output), (wanted.get(keyOf(output)) ?? 0) + amount);
  }
  const known = await rowsOf<{ item: string; kind: StockKind; amount: number }>(
    db,
    `SELECT item, kind, CAST(SUM(amount) AS SIGNED) AS amount FROM stock_move
     WHERE dough_id = ? GROUP BY item, kind`,
    [doughId],
  );
  const before = new Map(known.map((one) => [keyOf(one), Number(one.amount)]));
  for (const output of new Map([...outputs.values()].map((one) => [keyOf(one), one])).values()) {
    const amount = (wanted.get(keyOf(output)) ?? 0) - (before.get(keyOf(output)) ?? 0);
    if (amount !== 0)
      await writeMove(db, output.versionId, { kind: output.kind, amount, now, note: noteOf(dough), doughId });
  }
}
