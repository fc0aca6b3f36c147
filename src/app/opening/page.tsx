import { redirect } from 'next/navigation';
import { tabletHere } from '@/server/auth/tablet';
import { pool } from '@/server/db/pool';
import { houseIfAny } from '@/server/store/house';
import { WordsOf } from '@/app/words-of';
import { FirstRun } from '@/ui/opening/first-run';
import { titled } from '../titled';

export const generateMetadata = titled('setup.openABakery');
export const dynamic = 'force-dynamic';

/** The first page of an empty database; a bakery that is there is signed in to. */
export default async function OpeningPage() {
  const [bakery, tablet] = await Promise.all([houseIfAny(pool()), tabletHere()]);
  if (bakery) redirect('/sign-in');
  return (
    <WordsOf areas={['rooms', 'setup']}>
      <FirstRun zones={Intl.supportedValuesOf('timeZone')} isKnown={tablet !== null} />
    </WordsOf>
  );
}
