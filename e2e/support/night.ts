import type { Pool } from 'mysql2/promise';
import { seedDemo } from '@/server/demo/seed';
import { applicationWith } from './set-up';

/** A night in a demo bakery of its own, whose clock a test puts on. */
export interface Night {
  pool: Pool;
  /** Lets so many minutes pass in which nobody taps. */
  pass: (minutes: number) => Promise<void>;
  end: () => Promise<void>;
}

/** Opens the demo bakery, its clock standing still at Thursday 04:10 with three loads proofing and one baker at work. */
export async function beginNight(): Promise<Night> {
  let pool: Pool | null = null;
  const end = await applicationWith(
    async (own) => {
      await seedDemo(own);
      await own.query('UPDATE demo_clock SET paused = TRUE');
    },
    (own) => (pool = own),
  );
  if (!pool) throw new Error('The bakery has a database.');
  const kept: Pool = pool;
  return {
    pool: kept,
    pass: async (minutes) => {
      await kept.query('UPDATE demo_clock SET shown_at = DATE_ADD(shown_at, INTERVAL ? MINUTE)', [minutes]);
    },
    end: async () => {
      await kept.end();
      await end();
    },
  };
}
