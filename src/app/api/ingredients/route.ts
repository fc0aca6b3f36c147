import { pool } from '@/server/db/pool';
import { reading } from '@/server/door';
import { ingredients } from '@/server/store/ingredients';

/** What the bakery's ingredients are called. */
export function GET(): Promise<Response> {
  return reading('GET /api/ingredients', async () => {
    return Response.json((await ingredients(pool())).map(({ id, name }) => ({ id, name })));
  });
}
