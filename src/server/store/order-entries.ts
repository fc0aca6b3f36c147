import { type Db, rowOf, write } from '../db/rows';

/** Opens a day again. */
export async function openDay(db: Db, day: string): Promise<void> {
  await write(db, 'DELETE FROM closed_day WHERE day = ?', [day]);
}

/** Closes a day. */
export async function writeClosedDay(db: Db, day: string, note: string): Promise<void> {
  await write(
    db,
    'INSERT INTO closed_day (day, note) VALUES (?, ?) ON DUPLICATE KEY UPDATE note = VALUES(note)',
    [...[day, note]],
  );
}

/** Why a day is closed. */
export function closedNote(db: Db, day: string) {
  return rowOf<{ note: string }>(db, 'SELECT note FROM closed_day WHERE day = ?', [day]);
}

/** Writes down what differs of a standing order on a day. */
export async function saveStandingChange(db: Db, id: number, day: string, pieces: number): Promise<void> {
  await write(
    db,
    `INSERT INTO standing_change (standing_order_id, day, pieces) VALUES (?, ?, ?)
         ON DUPLICATE KEY UPDATE pieces = VALUES(pieces)`,
    [id, day, pieces],
  );
}

/** Lets a standing order be as usual on a day. */
export async function removeStandingChange(db: Db, id: number, day: string): Promise<void> {
  await write(db, 'DELETE FROM standing_change WHERE standing_order_id = ? AND day = ?', [...[id, day]]);
}

/** A standing order, and what differs of it on a day. */
export function standingOnDay(db: Db, id: number, day: string) {
  return rowOf<{ id: number; pieces: number | null }>(
    db,
    `SELECT o.id, c.pieces FROM standing_order o
       LEFT JOIN standing_change c ON c.standing_order_id = o.id AND c.day = ? WHERE o.id = ?`,
    [day, id],
  );
}

/** What makes a standing order one of its own: who, what, on which day of the week, at which minute of the day. */
export interface StandingKey {
  customerId: number;
  productId: number;
  weekday: number;
  dueMinute: number;
}

const keyValues = ({ customerId, productId, weekday, dueMinute }: StandingKey) => [
  ...[customerId, productId, weekday, dueMinute],
];

/** Writes a standing order down, or changes it. */
export async function saveStandingOrder(db: Db, key: StandingKey, pieces: number): Promise<void> {
  await write(
    db,
    `INSERT INTO standing_order (customer_id, product_id, weekday, due_minute, pieces) VALUES (?, ?, ?, ?, ?)
           ON DUPLICATE KEY UPDATE pieces = VALUES(pieces)`,
    [...keyValues(key), pieces],
  );
}

/** Ends a standing order. */
export async function removeStandingOrder(db: Db, key: StandingKey): Promise<void> {
  await write(
    db,
    'DELETE FROM standing_order WHERE customer_id = ? AND product_id = ? AND weekday = ? AND due_minute = ?',
    keyValues(key),
  );
}

/** How many are ordered every week. */
export function standingPieces(db: Db, key: StandingKey) {
  return rowOf<{ pieces: number }>(
    db,
    'SELECT pieces FROM standing_order WHERE customer_id = ? AND product_id = ? AND weekday = ? AND due_minute = ?',
    keyValues(key),
  );
}

/** Changes how many are ordered; none cancels the order. */
export async function changeSingleOrder(
  db: Db,
  id: number,
  { pieces, now }: { pieces: number; now: number },
): Promise<void> {
  await write(
    db,
    pieces === 0
      ? 'UPDATE single_order SET cancelled_at = ? WHERE id = ?'
      : 'UPDATE single_order SET pieces = ?, cancelled_at = NULL WHERE id = ?',
    [pieces === 0 ? new Date(now) : pieces, id],
  );
}

/** A single order as it is. */
export function singleOrder(db: Db, id: number) {
  return rowOf<{ customer: string; product: string; pieces: number; cancelled: number }>(
    db,
    `SELECT customer.name AS customer, product.name AS product, pieces, cancelled_at IS NOT NULL AS cancelled
       FROM single_order JOIN customer ON customer.id = customer_id JOIN product ON product.id = product_id
       WHERE single_order.id = ? FOR UPDATE`,
    [id],
  );
}

/** The product of this id. */
export function productById(db: Db, product: number) {
  return rowOf<{ id: number; name: string }>(db, 'SELECT id, name FROM product WHERE id = ?', [product]);
}

/** Customers of this name. */
export function customersCalled(db: Db, name: string) {
  return rowOf<{ id: number }>(db, 'SELECT id FROM customer WHERE name = ?', [name]);
}
