/**
 * A stand-in for the house's probes: rooms, cold stores, proofer, oven and core probes in doughs, by the physics of the core.
 *
 * `npm run device:probes -- [--house http://127.0.0.1:3000] [--token lindenried-probes] [--every 60] [--once]
 * [--set bakery=30,retarder=7] [--fault retarder:door@10+45,proofer:drift] [--core core-1=retarder:24] [--seed 1]`
 *
 * It goes by the house's clock, which comes with every answer: where the demo's clock runs faster, so do the fridges.
 * `--every` counts seconds of the real clock.
 */
import { setTimeout as pause } from 'node:timers/promises';
import { ask, isRunning, option, send } from '../send';
import { readFaults } from './faults';
import { simulatedHouse, type CoreProbe } from './house';

const pairs = (text: string) =>
  text
    .split(',')
    .filter(Boolean)
    .map((pair) => pair.split('=') as [string, string | undefined]);

function readCoreProbes(text: string): CoreProbe[] {
  return pairs(text).map(([id, stands = '']) => {
    const [place = '', celsius = ''] = stands.split(':');
    if (!place || !Number.isFinite(Number(celsius || NaN)))
      throw new Error(`“${id}” needs a place and a temperature, such as ${id}=retarder:24.`);
    return { id, place, celsius: Number(celsius) };
  });
}

const house = option('house', 'http://127.0.0.1:3000');
const token = option('token', 'lindenried-probes');
const every = Number(option('every', '60'));
/** The demo's process: its probes end with it. */
const beside = Number(option('beside', '0'));
const settings = {
  set: new Map(pairs(option('set', '')).map(([place, celsius]) => [place, Number(celsius)])),
  faults: readFaults(option('fault', '')),
  coreProbes: readCoreProbes(option('core', '')),
  seed: Number(option('seed', '1')),
};

/** What the house's clock says, and a door that a visitor of the demo has left open. */
async function houseTime(): Promise<{ now: number; door?: { place: string } }> {
  const answer = await ask(house, '/api/intake/readings', token);
  return (answer as { result: { now: number; door?: { place: string } } }).result;
}

const simulated = simulatedHouse((await houseTime()).now, settings);
const once = process.argv.includes('--once');
for (;;) {
  try {
    const { now, door } = await houseTime();
    simulated.goTo(now, door?.place ?? null);
    const readings = simulated.readings();
    await send(house, '/api/intake/readings', token, { readings });
    console.log(readings.map(({ place, celsius }) => `${place} ${celsius}`).join('  '));
  } catch (error) {
    // A house that is away comes back; a gateway goes on until then.
    console.error(error instanceof Error ? error.message : error);
    if (once) process.exitCode = 1;
  }
  if (once || !isRunning(beside)) break;
  await pause(every * 1000);
}
