import { reading } from '@/server/door';
import { pool } from '@/server/db/pool';
import { setUpFile } from '@/server/set-up-out';

/** The whole set-up of the house as a file. */
export function GET(): Promise<Response> {
  return reading('GET /api/setup', async () => {
    return new Response(`${JSON.stringify(await setUpFile(pool()), null, 1)}\n`, {
      headers: {
        'content-type': 'application/json',
        'content-disposition': 'attachment; filename="set-up.json"',
      },
    });
  });
}
