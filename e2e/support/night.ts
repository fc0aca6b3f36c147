import { randomUUID } from 'node:crypto';
import { type DoughRecord, stateOf } from '@/core/record/dough';
import { doughById, doughsDueFrom } from '@/server/store/doughs';
import type { Pool } from 'mysql2/promise';
import { rowOf } from '@/server/db/rows';
import { houseNow } from '@/server/store/clock';
import { seedDemo } from '@/server/demo/seed';
import { applicationWith } from './set-up';

/** A night in a demo bakery of its own, whose clock a test puts on. */
export interface Night {
  pool: Pool;
  /** Lets so many minutes pass in which nobody taps. */
  pass: (minutes: number) => Promise<void>;
  end: () => Promise<void>;
}

/**
 * Opens the demo bakery, its clock standing still at Thursday 04:10 with three loads proofing and one baker at work.
 *
 * @param month - with the four weeks before it
 */
export async function beginNight({ month = false } = {}): Promise<Night> {
  let pool: Pool | null = null;
  const end = await applicationWith(
    async (own) => {
      await seedDemo(own, { month });
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

/**
 * Has everything of a dough's common part, and of the named loads, done before a step, as if it had been recorded in time: a
 * night begins with it.
 */
export async function doneUpTo(pool: Pool, name: string, until: string): Promise<DoughRecord> {
  const now = new Date(await houseNow(pool));
  const found = (await doughsDueFrom(pool, now.getTime())).find((dough) => dough.name === name);
  if (!found) throw new Error(`There is no ${name}.`);
  const { steps: states } = stateOf(found);
  const before = found.steps.slice(
    0,
    found.steps.findIndex(({ key }) => key === until),
  );
  const own = before.filter(
    ({ step, outputId }) => step.work && (outputId === null || until.startsWith(`${outputId}.`)),
  );
  for (const [i, { key }] of own.entries())
    for (const kind of ['start', 'finish'] as const) {
      const state = states.get(key);
      if ((kind === 'start' ? state?.startedAt : state?.finishedAt) !== null) continue;
      // The last of them a moment ago, each before it some minutes earlier.
      const at = new Date(
        now.getTime() - (own.length - i) * 4 * 60_000 + (kind === 'start' ? 0 : 3 * 60_000),
      );
      await pool.query(
        'INSERT INTO floor_event (id, dough_id, step_key, kind, at, person_id, received_at) VALUES (?, ?, ?, ?, ?, 1, ?)',
        [randomUUID(), found.id, key, kind, at, at],
      );
    }
  return found;
}

/** The dough that was planned last. */
export async function newestDough(pool: Pool): Promise<DoughRecord> {
  const last = await rowOf<{ id: number }>(pool, 'SELECT MAX(id) AS id FROM dough');
  const found = await doughById(pool, last?.id ?? 0);
  if (!found) throw new Error('No dough was planned.');
  return found;
}
