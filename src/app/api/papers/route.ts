import { houseWordsHere } from '@/server/reader';
import { coded } from '@/core/codes/coded';
import { writePaperCsv } from '@/core/exchange/paper-csv';
import { maySee } from '@/core/shopfloor/rights';
import { pool } from '@/server/db/pool';
import { no, reading, reply } from '@/server/door';
import { readPaperAsk } from '@/server/paper-ask';
import { houseNow } from '@/server/store/clock';
import { house } from '@/server/store/house';
import { paperOf } from '@/server/store/papers';
import { amountTitle } from '@/ui/kit/amount-title';

/** A day's list as a file: `?kind=production`, `mise-en-place` or `deliveries`, `&day=2026-11-20`. */
export function GET(request: Request): Promise<Response> {
  return reading('GET /api/papers', async ({ person }) => {
    const db = pool();
    const [now, { zone }] = await Promise.all([houseNow(db), house(db)]);
    const asked = new URL(request.url).searchParams;
    const ask = readPaperAsk(asked.get('kind'), asked.get('day'), { now, zone });
    if (!ask) return reply(no(404, coded('refusals.noSuchList')), undefined);
    if (ask.kind === 'deliveries' && !maySee(person, '/orders'))
      return reply(no(403, coded('refusals.thisIsNotForEverybodyTo')), undefined);
    const say = await houseWordsHere(pool());
    const text = writePaperCsv(await paperOf(db, ask.kind, { from: ask.from, now, zone }), zone, {
      say: (words) => say.coded(words),
      what: (what) => amountTitle(say, what),
    });
    return new Response(text, {
      headers: {
        'content-type': 'text/csv; charset=utf-8',
        'content-disposition': `attachment; filename="${ask.kind}-${ask.day}.csv"`,
      },
    });
  });
}
