import { wordsHere } from '@/server/reader';
import { pool } from '@/server/db/pool';
import { houseNow } from '@/server/store/clock';
import { addressOf, planCalendar } from '@/server/store/person-calendar';

/** A calendar by its private address: whoever knows it reads it, and can do nothing else. */
export async function GET(_: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params;
  const address = await addressOf(pool(), token);
  if (!address) return new Response((await wordsHere())('refusals.noCalendarAtThisAddress'), { status: 404 });
  const text = await planCalendar(pool(), await houseNow(pool()), address);
  return new Response(text, {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'private, no-store' },
  });
}
