import { pool } from '@/server/db/pool';
import { reading, reply } from '@/server/door';
import { houseNow } from '@/server/store/clock';
import { orderBook } from '@/server/store/orders';

/** The order book as the orders page shows it: what is wanted, what makes it, and which doughs are proposed for the rest. */
export function GET(): Promise<Response> {
  return reading('GET /api/orders', async () => {
    const now = await houseNow(pool());
    return reply({ ok: true, result: await orderBook(pool(), now) }, undefined);
  });
}
