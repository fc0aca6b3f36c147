import { maySee, type Page } from '@/core/shopfloor/rights';
import { type Findable, foundBest } from '@/core/wire/found';
import { pool } from '@/server/db/pool';
import { reading, reply } from '@/server/door';
import { houseWordsHere } from '@/server/reader';
import { houseNow } from '@/server/store/clock';
import { findByName } from '@/server/store/find';
import type { MessageKey } from '@/words/message';

/** Pages that stand alone, by what a browser calls them. */
const NAMED: readonly (readonly [Page, MessageKey])[] = [
  ['/plan', 'titles.plan'],
  ['/orders', 'titles.orders'],
  ['/orders/past', 'titles.pastOrders'],
  ['/bench', 'titles.bench'],
  ['/proof', 'titles.proofWatch'],
  ['/oven', 'titles.oven'],
  ['/handover', 'titles.handover'],
  ['/wall', 'titles.wall'],
  ['/batches', 'titles.batches'],
  ['/trends', 'titles.trends'],
  ['/practice', 'titles.practice'],
  ['/formulas', 'titles.formulas'],
  ['/formulas/ingredients', 'titles.ingredients'],
  ['/products', 'titles.products'],
  ['/products/new', 'titles.newProduct'],
  ['/products/recipe', 'titles.recipe'],
  ['/lamination', 'titles.lamination'],
  ['/cutting', 'titles.cutPlan'],
  ['/rooms', 'titles.rooms'],
  ['/workbench', 'titles.workbench'],
  ['/house', 'titles.house'],
  ['/house/values', 'titles.houseValues'],
  ['/setup', 'titles.setUp'],
];
/** A longer text is nobody's search. */
const LONGEST = 60;

/** What has a name like this, as far as whoever asks may see it. */
export function GET(request: Request): Promise<Response> {
  return reading('GET /api/find', async ({ person }) => {
    const text = (new URL(request.url).searchParams.get('text') ?? '').slice(0, LONGEST);
    const [say, now] = await Promise.all([houseWordsHere(pool()), houseNow(pool())]);
    const pages = NAMED.filter(([page]) => maySee(person, page)).map(([href, key]): Findable => ({
      kind: 'page',
      name: say(key),
      detail: '',
      href,
      at: null,
    }));
    const named = await findByName(pool(), now, text);
    const seen = named.filter(({ kind }) => kind !== 'customer' || maySee(person, '/orders'));
    const found = foundBest([...pages, ...seen], text, now).map((one) => ({
      ...one,
      name: say.named(one.name),
    }));
    return reply({ ok: true, result: found }, undefined);
  });
}
