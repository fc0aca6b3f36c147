import Papa from 'papaparse';
import { parseLocal } from '../time/local';
import type { LineFault } from './read';

const COLUMNS = ['customer', 'product', 'pieces', 'day', 'time'] as const;
type Column = (typeof COLUMNS)[number];

/** An order as a file has it; `line` counts from 1. */
export interface ReadOrder {
  line: number;
  customer: string;
  productId: number;
  pieces: number;
  /** Local, `2026-11-22T06:30`. */
  due: string;
  dueAt: number;
}

/** Longest file that is read, characters; a bakery's year of orders is a tenth of it. */
export const LONGEST_ORDERS = 2_000_000;
const MOST_ORDERS = 1500;
const MOST_PIECES = 100_000;

/**
 * Reads orders from a table; commas, semicolons or tabs, any order of columns. Every fault is named with its line; what
 * has none can be taken.
 */
export function readOrdersCsv(
  text: string,
  products: readonly { id: number; name: string }[],
  { now, zone }: { now: number; zone: string },
): { orders: ReadOrder[]; faults: LineFault[] } {
  if (text.length > LONGEST_ORDERS)
    return {
      orders: [],
      faults: [{ line: 1, message: 'The file is too long; 2 million characters at most.' }],
    };
  // A file in another encoding shows itself by what no orders have in them.
  if (/[\u0000\uFFFD]/.test(text))
    return {
      orders: [],
      faults: [{ line: 1, message: 'The file is not in UTF-8; save it as CSV UTF-8 and read it again.' }],
    };
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const [head = [], ...body] = parsed.data;
  const at = new Map(head.map((name, i) => [name.trim().toLowerCase(), i]));
  const missing = COLUMNS.filter((column) => !at.has(column));
  if (missing.length > 0) {
    const message = `The first line must name the columns; there is no “${missing.join('”, “')}”.`;
    return { orders: [], faults: [{ line: 1, message }] };
  }
  const orders: ReadOrder[] = [];
  const faults: LineFault[] = [];
  body.slice(0, MOST_ORDERS).forEach((cells, i) => {
    const line = i + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    const cell = (column: Column) => (cells[at.get(column) ?? -1] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
    const fault = (message: string) => faults.push({ line, message });
    const product = products.find(({ name }) => name.toLowerCase() === cell('product').toLowerCase());
    const pieces = /^\d+$/.test(cell('pieces')) ? Number(cell('pieces')) : NaN;
    const due = `${cell('day')}T${cell('time').padStart(5, '0')}`;
    const dueAt = parseLocal(due, zone);
    if (cell('customer') === '') fault('Nobody is named as customer.');
    else if (cell('customer').length > 80) fault('The customer’s name is longer than 80 characters.');
    if (!product) fault(`The house makes no “${cell('product')}”.`);
    if (!(pieces >= 1 && pieces <= MOST_PIECES))
      fault(`“${cell('pieces')}” is no number of pieces between 1 and 100,000.`);
    if (dueAt === null)
      fault(`“${cell('day')} ${cell('time')}” is no day and time such as 2026-11-22 and 06:30.`);
    else if (dueAt <= now) fault(`${cell('day')} ${cell('time')} has passed already.`);
    if (faults.at(-1)?.line === line || !product || dueAt === null) return;
    orders.push({ line, customer: cell('customer'), productId: product.id, pieces, due, dueAt });
  });
  if (body.length > MOST_ORDERS + 1)
    faults.push({ line: MOST_ORDERS + 2, message: `Only ${MOST_ORDERS} orders are read at a time.` });
  if (orders.length === 0 && faults.length === 0)
    faults.push({ line: 2, message: 'There are no orders in it.' });
  return { orders, faults };
}
