import { changing } from '@/server/door';
import { pool } from '@/server/db/pool';
import { jsonBody } from '@/server/http';
import { previewProducts } from '@/server/products-preview';

/** Says what a file of products would bring, and writes nothing. */
export function POST(request: Request): Promise<Response> {
  return changing(request, 'POST /api/products/read', async () => {
    const asked = (await jsonBody(request)) as { text?: unknown } | undefined;
    const text = typeof asked?.text === 'string' ? asked.text : '';
    return { ok: true, result: await previewProducts(pool(), text) };
  });
}
