import { pool } from '@/server/db/pool';
import { reading } from '@/server/door';
import { houseNow } from '@/server/store/clock';
import { doorsOpened } from '@/server/store/doors';

/** When doors of places were opened lately, by their probes: what times of unrecorded steps are offered by. */
export function GET(): Promise<Response> {
  return reading('GET /api/doors', async () => {
    return Response.json(await doorsOpened(pool(), await houseNow(pool())));
  });
}
