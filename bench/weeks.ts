import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from '../scripts/lib/mariadb';
import { freePort } from '../scripts/lib/ports';
import { crewDays } from '../test-support/crew-days';
import { median, row, share } from './measure';

/** Lets the simulated crew work so many weeks in the demo bakery, against the build in build/app; tells of each day as it ends. */
export async function weeks(count: number): Promise<void> {
  const scratch = mkdtempSync(join(tmpdir(), 'hefeteig-weeks-'));
  const database = await startDatabase(scratch, await freePort(), 'only-for-the-bench');
  process.env.HEFETEIG_TEST_DATABASE = database.url('');
  try {
    const { acts, looks, memory, errors, doughs } = await crewDays(7 * count, {
      ...{ build: 'build/app', log: join(scratch, 'application.log') },
      onDay: (day, told) =>
        row(`day ${day}: taps, refused, MB`, `${told.acts}, ${told.refused}, ${told.memory.toFixed(0)}`, ''),
    });
    const refused = acts.filter((act) => act.refused !== null);
    const lost = doughs.filter(({ finished, outputs }) => finished === undefined && isPast(outputs, doughs));
    row('taps and calls of the crew', String(acts.length), '');
    row('refused by the house', String(refused.length), '0');
    row('doughs, and those left open two days after they were due', `${doughs.length}, ${lost.length}`, '0');
    row('a look with all that is done after it, ms', median(looks).toFixed(0), '');
    row('95 % of them within, ms', share(looks, 0.95).toFixed(0), '');
    const half = looks.length >> 1;
    const [first, second] = [median(looks.slice(0, half)), median(looks.slice(half))];
    row('the second half against the first', `${((100 * second) / first).toFixed(0)} %`, 'level');
    row('memory after each day, MB', memory.map((mb) => mb.toFixed(0)).join(' '), 'level');
    row('errors in the log', String(errors.length), '0');
    for (const { what, refused: why } of refused) console.log(`${what}: ${why}`);
    for (const line of errors.slice(0, 10)) console.log(line);
  } finally {
    await database.stop();
    rmSync(scratch, { recursive: true, force: true });
  }
}

const DAYS = 24 * 3_600_000;

/** Due for longer than two days, by the last thing that any dough has recorded. */
function isPast(
  outputs: readonly { dueAt: number }[],
  doughs: readonly { events: { at: number }[] }[],
): boolean {
  const last = Math.max(...doughs.flatMap(({ events }) => events.map(({ at }) => at)));
  return outputs.every(({ dueAt }) => dueAt < last - 2 * DAYS);
}
