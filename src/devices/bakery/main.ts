/**
 * A stand-in for the demo's bakers: made-up people who do what the plan has for them on a tablet of their own.
 *
 * `npm run device:crew -- --pins 2:1203,3:2806 [--house http://127.0.0.1:3000] [--every 1] [--seed 1]`
 *
 * They go by the house's clock, so that they work as fast as it runs. `--every` counts seconds of the real clock. Whoever is
 * signed in elsewhere has their work left to them.
 */
import { setTimeout as pause } from 'node:timers/promises';
import { isRunning, option } from '../send';
import { Crew } from './crew';

const every = Number(option('every', '1'));
/** The demo's process: its crew ends with it. */
const beside = Number(option('beside', '0'));
const people = option('pins', process.env.HEFETEIG_CREW ?? '')
  .split(',')
  .filter(Boolean)
  .map((pair) => ({ id: Number(pair.split(':')[0]), pin: pair.split(':')[1] ?? '' }));
const crew = new Crew(option('house', 'http://127.0.0.1:3000'), people, Number(option('seed', '1')));

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => void crew.leave().finally(() => process.exit(0)));

while (isRunning(beside)) {
  try {
    for (const { at, personId, what, refused } of await crew.work())
      console.log(new Date(at).toISOString(), personId, what, refused ?? '');
  } catch (error) {
    // A house that is away comes back; the crew goes on until then.
    console.error(error instanceof Error ? error.message : error);
  }
  await pause(every * 1000);
}
