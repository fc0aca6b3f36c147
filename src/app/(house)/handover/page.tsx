import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { lastWords } from '@/server/store/handovers';
import { floorBoard } from '@/server/store/shared-board';
import { WordsOf } from '@/ui/kit/words-of';
import { HandoverScreen } from '@/ui/handover/handover-view';

export const metadata = titled('titles.handover');

export default async function Page() {
  const { person, now } = await housePage('/handover');
  const [packed, words] = await Promise.all([floorBoard(pool(), now), lastWords(pool())]);
  return (
    <WordsOf
      areas={['cutting', 'floor', 'handover', 'heat', 'lamination', 'oven', 'shaping', 'steps', 'turns']}
    >
      <HandoverScreen packed={packed} rest={{ words, person }} />
    </WordsOf>
  );
}
