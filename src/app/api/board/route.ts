import { pool } from '@/server/db/pool';
import { reading, reply } from '@/server/door';
import { houseNow } from '@/server/store/clock';
import { demoWishes } from '@/server/store/demo-wishes';
import { elsewhereAtTablets } from '@/server/store/at-tablets';
import { lastWords } from '@/server/store/handovers';
import { floorBoard } from '@/server/store/shared-board';

/**
 * The floor as every screen of it starts from, for a device that draws no page: the house's time, the packed board
 * (`unpackBoard`), who is at another tablet just now, and
 * what a visitor of the demo has asked of its stand-ins; with the last words of shifts.
 */
export function GET(): Promise<Response> {
  return reading('GET /api/board', async ({ tabletId }) => {
    const now = await houseNow(pool());
    const [board, atTablets, demo, words] = await Promise.all([
      floorBoard(pool(), now),
      elsewhereAtTablets(pool(), tabletId),
      demoWishes(pool(), now),
      lastWords(pool(), now),
    ]);
    return reply({ ok: true, result: { now, board, atTablets, demo, words } }, undefined);
  });
}
