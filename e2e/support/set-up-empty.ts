import { makeTabletCode } from '@/server/auth/tablet-code';
import { applicationWith } from './set-up';

/** The built application on an empty database, and the code that its server would have printed. */
export default function setUp(): Promise<() => Promise<void>> {
  return applicationWith(async (pool) => {
    process.env.HEFETEIG_CODE = await makeTabletCode(pool, null);
  });
}
