import type { Thaw } from '@/core/shopfloor/alarms';
import { type DoughRecord, stateOf } from '@/core/record/dough';
import { piecesLeft } from '@/core/record/frozen';
import type { Kept, OrderBook } from '@/core/demand/book';
import { assignSupply, type Supply } from '@/core/demand/cover';
import { shortages, supplyKey } from '@/core/demand/short';
import { forecastDough } from '@/core/forecast/forecast';
import { promisesOf } from '@/core/forecast/promises';
import { type Stock, takeFrozen } from '@/core/demand/stock';
import { dayOf, demandBetween, type SingleOrder, type StandingOrder } from '@/core/demand/orders';
import { type Maker, proposeDoughs } from '@/core/demand/propose';
import { quickestWay } from '@/core/process/earliest';
import { expandDough } from '@/core/process/expand';
import { LEAST_THAW } from '@/core/process/freezer-routes';
import { goesToStock } from '@/core/process/output-way';
import { addLocalDays, MINUTE } from '@/core/time/local';
import { conditions } from './conditions';
import { toldSince } from './customers-told';
import { doughsDueFrom, sizes } from './doughs';
import { freePieces, freeStock, type Keepable, keepables, stockNow, thawedFor } from './stock';
import { house, houseSettings, whoAcceptsRepairs } from './house';
import { currentProducts, type ProductVersion } from './products';
import { type Db, rowsOf } from '../db/rows';

/** Days that are looked ahead. */
export const ORDER_DAYS = 7;

/** Doughs that were due so lately, hours, may still be what an order to come is made of. */
const RECENT = 12;

export async function orderBook(db: Db, now: number): Promise<OrderBook> {
  const { zone, apart } = await house(db);
  const since = now - RECENT * 60 * MINUTE;
  const recent = await doughsDueFrom(db, since);
  const doughs = recent.filter(({ outputs }) => outputs.some(({ dueAt }) => dueAt >= now));
  const [
    { standing, closed, wanted },
    stock,
    pieces,
    thawed,
    products,
    made,
    takes,
    settings,
    customers,
    told,
  ] = await Promise.all([
    wantedIn(db, { from: since, to: addLocalDays(now, ORDER_DAYS + 1, zone), zone }),
    keptNow(db, doughs),
    freePieces(db, doughs, now),
    thawedFor(db, since),
    currentProducts(db),
    madeBy(db, recent, since),
    sizes(db),
    houseSettings(db),
    rowsOf<{ name: string }>(db, 'SELECT name FROM customer ORDER BY name'),
    toldSince(db, since),
  ]);
  const makers = products.map((product) => makerOf(product, takes));
  const making = {
    bowlKg: takes.bowlKg,
    mostBowls: settings.mostBowls,
    apart,
    cutting: takes.cutting,
  };
  // What was due a moment ago has taken its pieces from the same doughs.
  const { covered: all, left } = assignSupply(wanted, made, thawed);
  const covered = all.filter(({ dueAt }) => dueAt > now);
  const { open, taken } = takeFrozen(covered, pieces, thawsBy(now));
  const readyAt = await forecastReady(db, recent, now);
  return {
    customers: customers.map(({ name }) => name),
    ...{ standing, demand: covered, left, taken, makers, making, stock, told },
    closed: closed.filter(({ day }) => day >= dayOf(now, zone)),
    bakersTakeOrders: (await whoAcceptsRepairs(db, now)) === 'bakers',
    short: shortages(open, { makers, readyAt, left }, now),
    proposals: proposeDoughs(open, makers, making),
  };
}

/** When the pieces of these doughs are ready, as they are forecast, by dough and product. */
async function forecastReady(
  db: Db,
  doughs: readonly DoughRecord[],
  now: number,
): Promise<ReadonlyMap<string, number>> {
  const [bakery, productOf] = await Promise.all([conditions(db, now), productsOfOutputs(db, doughs)]);
  return new Map(
    doughs.flatMap((dough) =>
      promisesOf(forecastDough(dough, bakery, now), dough).map(
        ({ output, readyAt }) => [supplyKey(dough.id, productOf.get(output.id) ?? 0), readyAt] as const,
      ),
    ),
  );
}

function makerOf(product: ProductVersion, takes: Awaited<ReturnType<typeof sizes>>): Maker {
  const { productId, name, piece, allergens, freshFor, scheme, mixed = 1, formulaVersionId, route } = product;
  const expanded = expandDough([{ id: 0, product, pieces: piece.perTray }], takes);
  const ready = expanded.ready[0]?.key ?? '';
  const sharing = JSON.stringify([formulaVersionId, route.fork.from, route.dough]);
  const lead = quickestWay(expanded, ready).minutes;
  return { productId, name, piece, allergens, freshFor, scheme, mixed, lead, sharing: hashOf(sharing) };
}

/** A short word for a long one; alike only where the long ones are, as far as a bakery has products. */
function hashOf(text: string): string {
  let hash = 0;
  for (let i = 0; i < text.length; i++) hash = (Math.imul(hash, 31) + text.charCodeAt(i)) | 0;
  return `${text.length}.${hash}`;
}

/** When pieces that come out of the freezer now have thawed at the earliest. */
const thawsBy = (now: number): number => now + LEAST_THAW * MINUTE;

/** How far ahead it is looked for what has to thaw, days. */
const THAW_DAYS = 2;

/** What comes out of the freezer in the coming days, since none of these doughs makes it; the earliest first. */
export async function thawsFor(db: Db, doughs: readonly DoughRecord[], now: number): Promise<Thaw[]> {
  const pieces = await freePieces(db, doughs, now);
  if (pieces.size === 0) return [];
  const { zone } = await house(db);
  const since = now - RECENT * 60 * MINUTE;
  const [{ wanted }, made, thawed, products] = await Promise.all([
    wantedIn(db, { from: since, to: addLocalDays(now, THAW_DAYS, zone), zone }),
    madeBy(db, doughs, since),
    thawedFor(db, since),
    keepables(db),
  ]);
  const nameOf = new Map(products.map(({ productId, name }) => [productId, name]));
  const covered = assignSupply(wanted, made, thawed).covered.filter(({ dueAt }) => dueAt > now);
  const { taken } = takeFrozen(covered, pieces, thawsBy(now));
  return taken.map((one) => ({ ...one, product: nameOf.get(one.productId) ?? '' }));
}

/** What is kept for later, what of it is promised, and what can be made of it. */
async function keptNow(db: Db, doughs: readonly DoughRecord[]): Promise<Kept[]> {
  const [stock, free, products] = await Promise.all([stockNow(db), freeStock(db, doughs), keepables(db)]);
  return stock.map((one) => {
    const usable = free.find(({ item, kind }) => item === one.item && kind === one.kind)?.amount ?? 0;
    const alike = products.filter((product) => itemOf(product, one.kind) === one.item);
    const [first] = alike;
    const { kind, lots, amount } = one;
    return {
      ...{ kind, lots, amount, promised: amount - usable, productId: first?.productId ?? 0 },
      name: (kind === 'pieces' ? first?.name : first?.doughName) ?? '',
      makes: alike.filter(({ removed }) => !removed).map(({ productId }) => productId),
    };
  });
}

const itemOf = ({ pieces, dough }: Keepable, kind: Stock['kind']) => (kind === 'pieces' ? pieces : dough);

/** What is ordered for some days, with what it follows from. */
export async function wantedIn(db: Db, span: { from: number; to: number; zone: string }) {
  const [standing, single, closed] = await Promise.all([
    standingOrders(db),
    singleOrders(db, span),
    rowsOf<{ day: string; note: string }>(
      db,
      "SELECT DATE_FORMAT(day, '%Y-%m-%d') AS day, note FROM closed_day WHERE day >= ? ORDER BY day",
      [dayOf(span.from, span.zone)],
    ),
  ]);
  const wanted = demandBetween(standing, single, new Set(closed.map(({ day }) => day)), span);
  return { standing, closed, wanted };
}

/** The product of each output of these doughs. */
export async function productsOfOutputs(
  db: Db,
  doughs: readonly Pick<DoughRecord, 'outputs'>[],
): Promise<ReadonlyMap<number, number>> {
  const ids = doughs.flatMap(({ outputs }) => outputs.map(({ id }) => id));
  if (ids.length === 0) return new Map();
  const rows = await rowsOf<{ outputId: number; productId: number }>(
    db,
    `SELECT o.id AS outputId, v.product_id AS productId FROM dough_output o
     JOIN product_version v ON v.id = o.product_version_id WHERE o.id IN (?)`,
    [ids],
  );
  return new Map(rows.map(({ outputId, productId }) => [outputId, productId]));
}

/** What these doughs make that is due from some moment on. */
async function madeBy(db: Db, doughs: readonly DoughRecord[], from: number): Promise<Supply[]> {
  const productOf = await productsOfOutputs(db, doughs);
  return doughs.flatMap((dough) => {
    const { id, name, outputs, steps } = dough;
    const state = stateOf(dough);
    return (
      outputs
        // What goes to the freezer is nobody's yet.
        .filter(({ dueAt, way }) => dueAt >= from && !goesToStock(way))
        .map((output) => ({
          ...{ doughId: id, dough: name, productId: productOf.get(output.id) ?? 0 },
          ...{ dueAt: output.dueAt, freshFor: output.freshFor },
          // What is lost or frozen is nobody's: its orders are open again.
          pieces: piecesLeft(state, output),
          mixAt: Math.min(...steps.map(({ plannedStart }) => plannedStart)),
        }))
        .filter(({ pieces }) => pieces > 0)
    );
  });
}

export async function standingOrders(db: Db): Promise<StandingOrder[]> {
  const [rows, changes] = await Promise.all([
    rowsOf<Omit<StandingOrder, 'changes'>>(
      db,
      `SELECT s.id, c.name AS customer, s.product_id AS productId, s.weekday, s.due_minute AS dueMinute, s.pieces
       FROM standing_order s JOIN customer c ON c.id = s.customer_id ORDER BY s.weekday, s.due_minute, c.name, s.id`,
    ),
    rowsOf<{ id: number; day: string; pieces: number }>(
      db,
      "SELECT standing_order_id AS id, DATE_FORMAT(day, '%Y-%m-%d') AS day, pieces FROM standing_change",
    ),
  ]);
  return rows.map((row) => ({
    ...row,
    changes: changes.filter(({ id }) => id === row.id).map(({ day, pieces }) => ({ day, pieces })),
  }));
}

async function singleOrders(db: Db, { from, to }: { from: number; to: number }): Promise<SingleOrder[]> {
  const rows = await rowsOf<Omit<SingleOrder, 'dueAt'> & { at: Date }>(
    db,
    `SELECT s.id, c.name AS customer, s.product_id AS productId, s.due_at AS at, s.pieces
     FROM single_order s JOIN customer c ON c.id = s.customer_id
     WHERE s.cancelled_at IS NULL AND s.due_at > ? AND s.due_at < ? ORDER BY s.due_at, s.id`,
    [new Date(from), new Date(to)],
  );
  return rows.map(({ at, ...row }) => ({ ...row, dueAt: at.getTime() }));
}
