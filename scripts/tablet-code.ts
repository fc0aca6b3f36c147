/** Makes a code that lets one device in, for a house of which no device is let in yet: npm run tablet-code */
import { makeTabletCode } from '@/server/auth/tablet-code';
import { connect } from '@/server/db/pool';

const pool = connect(process.env.DATABASE_URL);
try {
  console.log(`Type ${await makeTabletCode(pool, null)} on the new device within 15 min.`);
} finally {
  await pool.end();
}
