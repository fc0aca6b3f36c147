import { changing } from '@/server/door';
import { planningPool } from '@/server/db/pool';
import { jsonBody } from '@/server/http';
import { tryProduct } from '@/server/product-trial';

/** Plans a batch of a product as it is being edited, and writes nothing. */
export function POST(request: Request): Promise<Response> {
  return changing(request, 'POST /api/products/try', async ({ person }) => ({
    ...{ ok: true, result: await tryProduct(planningPool(), person, await jsonBody(request)) },
  }));
}
