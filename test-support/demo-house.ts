import type { Person } from '@/core/bakery/people';
import { write } from '@/server/db/rows';
import { seedDemo } from '@/server/demo/seed';
import { houseNow } from '@/server/store/clock';
import { people } from '@/server/store/house';
import { freshDatabase } from './house';

/** The demo bakery in a database of its own, its clock standing still. */
export async function demoHouse() {
  const house = await freshDatabase();
  await seedDemo(house.pool);
  await write(house.pool, 'UPDATE demo_clock SET paused = TRUE', []);
  await write(house.pool, 'UPDATE person SET guided_at = UTC_TIMESTAMP(3)', []);
  const everybody = await people(house.pool);
  return {
    ...house,
    /** Somebody who works there, by name. */
    person: (name: string): Person => {
      const found = everybody.find((one) => one.name === name);
      if (!found) throw new Error(`Nobody in the demo is called ${name}.`);
      return found;
    },
    /** What its clock shows. */
    now: () => houseNow(house.pool),
    /** Lets some minutes pass at once. */
    later: (minutes: number) =>
      write(house.pool, 'UPDATE demo_clock SET shown_at = shown_at + INTERVAL ? MINUTE', [minutes]),
  };
}

/** What a probes' gateway sends. */
export const probeRequest = (body: unknown, token = 'lindenried-probes') =>
  new Request('http://127.0.0.1/api/intake/readings', {
    method: 'POST',
    headers: { authorization: `Bearer ${token}`, 'content-type': 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
