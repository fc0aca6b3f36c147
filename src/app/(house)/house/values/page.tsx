import { titled } from '../../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { house, houseSettings } from '@/server/store/house';
import { valueChanges } from '@/server/store/house-values';
import { WordsOf } from '@/app/words-of';
import { ValuesView } from '@/ui/house/values-view';

export const generateMetadata = titled('titles.houseValues');

export default async function ValuesPage() {
  await housePage('/house/values');
  const db = pool();
  const [settings, changes, { zone, apart }] = await Promise.all([
    houseSettings(db),
    valueChanges(db),
    house(db),
  ]);
  return (
    <WordsOf areas={['names', 'settings', 'setup']}>
      <ValuesView {...{ settings, changes, zone, apart }} />
    </WordsOf>
  );
}
