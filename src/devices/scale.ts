/**
 * A stand-in for a bench scale: sends each weight typed into it, in grams.
 * `npm run device:scale -- --house http://127.0.0.1:3000 --token lindenried-scale [--grams 540]`
 */
import { randomUUID } from 'node:crypto';
import { createInterface } from 'node:readline';
import { option, send } from './send';

const house = option('house', 'http://127.0.0.1:3000');
const token = option('token', 'lindenried-scale');
const once = option('grams', '');

const weigh = async (text: string) => {
  const grams = Number(text.replace(',', '.'));
  if (text.trim() === '' || !(grams >= 0)) {
    console.error('Type a weight in grams, such as 540 or 12,5.');
    return;
  }
  await send(house, '/api/intake/weights', token, { id: randomUUID(), grams });
  console.log(`sent ${grams} g`);
};

if (once !== '') await weigh(once);
else for await (const line of createInterface({ input: process.stdin })) await weigh(line);
