import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { floorBoard } from '@/server/store/shared-board';
import { WordsOf } from '@/app/words-of';
import { BenchScreen } from '@/ui/bench/bench-view';

export const generateMetadata = titled('titles.bench');

export default async function BenchPage() {
  const { person, now } = await housePage('/bench');
  return (
    <WordsOf
      areas={[
        'bench',
        'cutting',
        'drift',
        'floor',
        'heat',
        'lamination',
        'names',
        'racks',
        'remarks',
        'scrap',
        'shaping',
        'steps',
        'turns',
      ]}
    >
      <BenchScreen packed={await floorBoard(pool(), now)} rest={{ person }} />
    </WordsOf>
  );
}
