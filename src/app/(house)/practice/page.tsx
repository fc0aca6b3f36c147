import { mayDo } from '@/core/shopfloor/rights';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { house } from '@/server/store/house';
import { nightLines, ownSituations } from '@/server/store/practice';
import { WordsOf } from '@/app/words-of';
import { PracticeList } from '@/ui/practice/practice-list';
import { titled } from '../../titled';

export const generateMetadata = titled('titles.practice');

export default async function PracticePage() {
  const { person } = await housePage('/practice');
  const db = pool();
  const plans = mayDo(person, 'save-situation');
  const [{ zone }, own, nights] = await Promise.all([
    house(db),
    ownSituations(db),
    nightLines(db, plans ? null : person.id),
  ]);
  return (
    <WordsOf areas={['cutting', 'floor', 'heat', 'lamination', 'names', 'practice', 'shaping']}>
      <PracticeList
        own={own.map(({ id, name, brief, situation: { hours, doughs } }) => ({
          ...{ id, name, brief, hours },
          doughs: doughs.length,
        }))}
        {...{ nights, plans, zone }}
      />
    </WordsOf>
  );
}
