import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { house } from '@/server/store/house';
import { houseBook } from '@/server/store/house-book';
import { houseRecord } from '@/server/store/house-record';
import { houseWordsHere } from '@/server/reader';
import { spokenRecord } from '@/server/spoken';
import { WordsOf } from '@/app/words-of';
import { HouseView } from '@/ui/house/house-view';

export const generateMetadata = titled('titles.house');

export default async function HousePage() {
  const { person, now } = await housePage('/house');
  const db = pool();
  const [book, record, { name, zone, units }] = await Promise.all([
    houseBook(db, now),
    houseRecord(db, person),
    house(db),
  ]);
  return (
    <WordsOf areas={['files', 'heat', 'house', 'names', 'settings', 'setup']}>
      <HouseView
        {...{
          book,
          record: spokenRecord(await houseWordsHere(pool()), record),
          person,
          self: { name, zone, units },
        }}
        zones={Intl.supportedValuesOf('timeZone')}
      />
    </WordsOf>
  );
}
