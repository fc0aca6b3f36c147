import { pool } from '@/server/db/pool';
import { reading } from '@/server/door';
import { amountsOf } from '@/server/store/amounts';
import { doughById } from '@/server/store/doughs';

/** What is weighed out at the steps of a dough: sponge, levain, butter, fillings, washes. */
export function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return reading('GET /api/amounts', async () => {
    const id = Number((await params).id);
    const dough = Number.isSafeInteger(id) && id > 0 ? await doughById(pool(), id) : null;
    const amounts = dough && (await amountsOf(pool(), [dough])).get(dough.id);
    return amounts ? Response.json(amounts) : Response.json(null, { status: 404 });
  });
}
