import { randomUUID } from 'node:crypto';
import { addLocalDays, atLocalMinute, type Instant } from '@/core/time/local';
import { rowsOf, write, type Db } from '../db/rows';
import { WEEK, ZONE } from './bakery';

const minuteOf = (time: string): number => {
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  return hour * 60 + minute;
};

/** Customers with what they want, and what is in the freezer. */
export async function seedOrders(db: Db, now: Instant): Promise<void> {
  const tuesday = addLocalDays(now, -2, ZONE);
  const products = await rowsOf<{ id: number; name: string }>(db, 'SELECT id, name FROM product');
  const productOf = new Map(products.map(({ id, name }) => [name, id]));
  const customers = [...new Set([...WEEK.standing, ...WEEK.single].map(({ customer }) => customer))];
  await write(db, 'INSERT INTO customer (id, name) VALUES ?', [customers.map((name, i) => [i + 1, name])]);
  const customerOf = (name: string) => customers.indexOf(name) + 1;
  await write(
    db,
    'INSERT INTO standing_order (customer_id, product_id, weekday, due_minute, pieces) VALUES ?',
    [
      WEEK.standing.flatMap(({ customer, product, days, time, pieces }) =>
        days.map((day) => [customerOf(customer), productOf.get(product) ?? 0, day, minuteOf(time), pieces]),
      ),
    ],
  );
  await write(db, 'INSERT INTO single_order (client_id, customer_id, product_id, due_at, pieces) VALUES ?', [
    WEEK.single.map(({ customer, product, day, time, pieces }) => [
      ...[randomUUID(), customerOf(customer), productOf.get(product) ?? 0],
      ...[new Date(atLocalMinute(addLocalDays(tuesday, day, ZONE), minuteOf(time), ZONE)), pieces],
    ]),
  ]);
  await write(db, 'INSERT INTO stock_move (product_id, item, amount, at, note) VALUES ?', [
    WEEK.frozen.map(({ product, pieces }) => {
      return [
        productOf.get(product) ?? 0,
        `p${productOf.get(product)}`,
        pieces,
        new Date(addLocalDays(now, -3, ZONE)),
        'shaped',
      ];
    }),
  ]);
}
