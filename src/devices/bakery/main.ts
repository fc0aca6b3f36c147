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

/** While the clock runs as fast as a real one, a look every few seconds is enough. */
const SLOW = { rate: 5, every: 5 };

for (let before = { house: 0, real: 0 }; isRunning(beside);) {
  try {
    for (const { at, personId, what, refused } of await crew.work())
      console.log(new Date(at).toISOString(), personId, what, refused ?? '');
  } catch (error) {
    // A house that is away comes back; the crew goes on until then.
    console.error(error instanceof Error ? error.message : error);
  }
  const seen = { house: crew.lastLook, real: Date.now() };
  const rate = (seen.house - before.house) / (seen.real - before.real);
  before = seen;
  await pause((rate < SLOW.rate ? SLOW.every : 1) * every * 1000);
}
