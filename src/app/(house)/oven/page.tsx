import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { floorBoard } from '@/server/store/shared-board';
import { WordsOf } from '@/app/words-of';
import { OvenScreen } from '@/ui/oven/oven-view';

export const generateMetadata = titled('titles.oven');

export default async function Page() {
  const { person, now } = await housePage('/oven');
  return (
    <WordsOf
      areas={[
        'batch',
        'bench',
        'cutting',
        'floor',
        'heat',
        'lamination',
        'names',
        'oven',
        'racks',
        'shaping',
        'steps',
        'turns',
      ]}
    >
      <OvenScreen packed={await floorBoard(pool(), now)} rest={{ person }} />
    </WordsOf>
  );
}
