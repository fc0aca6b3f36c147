/**
 * A stand-in for the house's probes: a reading of each place every so often, swinging a little as thermostats do.
 * `npm run device:probes -- --house http://127.0.0.1:3000 --token lindenried-probes [--every 60] [--set bakery=30,retarder=7]
 * [--break retarder] [--once]`
 * `--set` holds a place at a temperature; a broken probe reports 85 °C, as a well-known kind of sensor does.
 */
import { setTimeout as pause } from 'node:timers/promises';
import { option, send } from './send';

const MEANS: Record<string, [mean: number, swing: number]> = {
  bakery: [22, 0.8],
  retarder: [3.6, 0.6],
  freezer: [-18.2, 0.7],
  proofer: [26.2, 0.4],
  oven: [184, 3],
};
const BROKEN = 85;

const house = option('house', 'http://127.0.0.1:3000');
const token = option('token', 'lindenried-probes');
const every = Number(option('every', '60'));
const broken = option('break', '').split(',');
const set = new Map(
  option('set', '')
    .split(',')
    .filter(Boolean)
    .map((pair) => [pair.split('=')[0] ?? '', Number(pair.split('=')[1])]),
);

for (let tick = 0; ; tick++) {
  const readings = Object.entries(MEANS).map(([place, [mean, swing]], i) => {
    const celsius = (set.get(place) ?? mean) + swing * Math.sin(tick / 7 + i);
    const humidity = place === 'proofer' ? 78 + 3 * Math.sin(tick / 5) : undefined;
    return { place, celsius: broken.includes(place) ? BROKEN : Math.round(celsius * 10) / 10, humidity };
  });
  await send(house, '/api/intake/readings', token, { readings });
  console.log(readings.map(({ place, celsius }) => `${place} ${celsius}`).join('  '));
  if (process.argv.includes('--once')) break;
  await pause(every * 1000);
}
