import { wordsHere } from '@/server/reader';
import { reading } from '@/server/door';
import { pool } from '@/server/db/pool';
import { productFile } from '@/server/products-out';

/** A product as a file, with all that it is made by. */
export function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return reading('GET /api/products', async () => {
    const id = Number((await params).id);
    const file = Number.isSafeInteger(id) && id > 0 ? await productFile(pool(), id) : null;
    if (!file) return new Response((await wordsHere())('refusals.thereIsNoSuchProduct'), { status: 404 });
    const name = (file.products[0]?.name ?? '').toLowerCase().replace(/[^a-z0-9]+/g, '-');
    return new Response(`${JSON.stringify(file, null, 2)}\n`, {
      headers: {
        'content-type': 'application/json',
        'content-disposition': `attachment; filename="${name}.json"`,
      },
    });
  });
}
