import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { floorBoard } from '@/server/store/shared-board';
import { WordsOf } from '@/app/words-of';
import { ProofScreen } from '@/ui/proof/proof-view';

export const generateMetadata = titled('titles.proofWatch');

export default async function Page() {
  const { person, now } = await housePage('/proof');
  return (
    <WordsOf
      areas={[
        'bench',
        'cutting',
        'floor',
        'heat',
        'lamination',
        'names',
        'ovenClashes',
        'proof',
        'racks',
        'remarks',
        'shaping',
        'steps',
      ]}
    >
      <ProofScreen packed={await floorBoard(pool(), now)} rest={{ person }} />
    </WordsOf>
  );
}
