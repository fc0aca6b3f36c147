import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { crewDays } from '../test-support/crew-days';
import { median, row, share } from './measure';

/** Lets the simulated crew work so many weeks in the demo bakery, against the build in build/app. */
export async function weeks(count: number): Promise<void> {
  const scratch = mkdtempSync(join(tmpdir(), 'hefeteig-weeks-'));
  const { acts, looks, memory, errors } = await crewDays(7 * count, {
    ...{ build: 'build/app', log: join(scratch, 'application.log') },
  });
  rmSync(scratch, { recursive: true, force: true });
  const refused = acts.filter((act) => act.refused !== null);
  row('taps and calls of the crew', String(acts.length), '');
  row('refused by the house', String(refused.length), '0');
  row('a look with all that is done after it, ms', median(looks).toFixed(0), '');
  row('95 % of them within, ms', share(looks, 0.95).toFixed(0), '');
  row('memory after each day, MB', memory.map((mb) => mb.toFixed(0)).join(' '), 'level');
  row('errors in the log', String(errors.length), '0');
  for (const { what, refused: why } of refused) console.log(`${what}: ${why}`);
}
