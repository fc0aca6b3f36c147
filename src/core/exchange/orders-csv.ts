import { coded, type Coded } from '../codes/coded';
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
      faults: [{ line: 1, message: coded('files.theFileIsTooLong') }],
    };
  // A file in another encoding shows itself by what no orders have in them.
  if (/[\u0000\uFFFD]/.test(text))
    return {
      orders: [],
      faults: [{ line: 1, message: coded('files.theFileIsNotIn') }],
    };
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const [head = [], ...body] = parsed.data;
  const at = new Map(head.map((name, i) => [name.trim().toLowerCase(), i]));
  const missing = COLUMNS.filter((column) => !at.has(column));
  if (missing.length > 0) {
    const message = coded('files.theFirstLineMustName', { missing: missing.join('”, “') });
    return { orders: [], faults: [{ line: 1, message }] };
  }
  const orders: ReadOrder[] = [];
  const faults: LineFault[] = [];
  body.slice(0, MOST_ORDERS).forEach((cells, i) => {
    const line = i + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    const cell = (column: Column) => (cells[at.get(column) ?? -1] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
    const fault = (message: Coded) => faults.push({ line, message });
    const product = products.find(({ name }) => name.toLowerCase() === cell('product').toLowerCase());
    const pieces = /^\d+$/.test(cell('pieces')) ? Number(cell('pieces')) : NaN;
    const due = `${cell('day')}T${cell('time').padStart(5, '0')}`;
    const dueAt = parseLocal(due, zone);
    if (cell('customer') === '') fault(coded('files.nobodyIsNamedAsCustomer'));
    else if (cell('customer').length > 80) fault(coded('files.theCustomerSNameIs'));
    if (!product) fault(coded('files.theHouseMakesNo', { product: cell('product') }));
    if (!(pieces >= 1 && pieces <= MOST_PIECES))
      fault(coded('files.isNoNumberOfPieces', { pieces: cell('pieces') }));
    if (dueAt === null) fault(coded('files.isNoDayAndTime', { day: cell('day'), time: cell('time') }));
    else if (dueAt <= now) fault(coded('files.hasPassedAlready', { day: cell('day'), time: cell('time') }));
    if (faults.at(-1)?.line === line || !product || dueAt === null) return;
    orders.push({ line, customer: cell('customer'), productId: product.id, pieces, due, dueAt });
  });
  if (body.length > MOST_ORDERS + 1)
    faults.push({
      line: MOST_ORDERS + 2,
      message: coded('files.onlyOrdersAreReadAt', { most: MOST_ORDERS }),
    });
  if (orders.length === 0 && faults.length === 0)
    faults.push({ line: 2, message: coded('files.thereAreNoOrdersIn') });
  return { orders, faults };
}
