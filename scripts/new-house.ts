/**
 * Opens a bakery in the empty database of DATABASE_URL:
 * npm run new-house -- --name "Bakery" --zone Europe/Berlin --planner Mara --pin 123456
 */
import { parseArgs } from 'node:util';
import { connect } from '@/server/db/pool';
import { migrate } from '@/server/db/migrate';
import { rowsOf } from '@/server/db/rows';
import { pinFault } from '@/server/auth/pin';
import { makeTabletCode } from '@/server/auth/tablet';
import { newHouse } from '@/server/setup/open-house';
import { keepOwnSecrets } from './lib/secrets';
import { wordsIn } from '@/words/compile';

const text = { type: 'string' } as const;
const { values } = parseArgs({ options: { name: text, zone: text, planner: text, pin: text } });

function faultOf({ name, zone, planner, pin }: typeof values): string | null {
  if (!name || !zone || !planner || !pin) return 'Give --name, --zone, --planner and --pin.';
  const pinIs = pinFault(pin, 'planner');
  if (pinIs) return wordsIn('en').coded(pinIs);
  const known = Intl.supportedValuesOf('timeZone').includes(zone);
  return known ? null : `${zone} is no time zone; Europe/Berlin is one.`;
}

async function main(): Promise<number> {
  const fault = faultOf(values);
  const url = process.env.DATABASE_URL;
  if (fault || !url) {
    console.error(fault ?? 'Set DATABASE_URL to an empty MariaDB database.');
    return 1;
  }
  keepOwnSecrets();
  await migrate(url);
  const pool = connect(url);
  try {
    const [there] = await rowsOf<{ name: string }>(pool, 'SELECT name FROM house');
    if (there) {
      console.error(`This database holds ${there.name} already.`);
      return 1;
    }
    const { name = '', zone = '', planner = '', pin = '' } = values;
    await newHouse(pool, { name, zone, planner, pin });
    const code = await makeTabletCode(pool, null);
    console.log(
      `${name} is open. Type ${code} on the first device within 15 min; then ${planner} can sign in there.`,
    );
    return 0;
  } finally {
    await pool.end();
  }
}

process.exitCode = await main();
