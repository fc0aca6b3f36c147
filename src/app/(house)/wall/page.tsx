import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { floorBoard } from '@/server/store/shared-board';
import { WordsOf } from '@/app/words-of';
import { WallScreen } from '@/ui/wall/wall-view';

export const generateMetadata = titled('titles.wall');

export default async function WallPage() {
  const { person, now } = await housePage('/wall');
  return (
    <WordsOf
      areas={['cutting', 'floor', 'heat', 'lamination', 'names', 'oven', 'racks', 'shaping', 'steps', 'wall']}
    >
      <WallScreen packed={await floorBoard(pool(), now)} rest={{ person }} />
    </WordsOf>
  );
}
