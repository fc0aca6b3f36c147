import { pool } from '@/server/db/pool';
import { healthOf, vitals } from '@/server/health';

/**
 * How this machine is, for whatever watches over it: 200 while taps are taken, 503 while they are not. Nothing of the bakery
 * is in it.
 */
export async function GET(): Promise<Response> {
  const health = healthOf(await vitals(pool()));
  return Response.json(health, {
    status: health.ready ? 200 : 503,
    headers: { 'cache-control': 'no-store' },
  });
}
