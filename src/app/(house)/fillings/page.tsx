import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { fillingNeeds } from '@/server/store/fillings';
import { house } from '@/server/store/house';
import { WordsOf } from '@/ui/kit/words-of';
import { FillingsView } from '@/ui/fillings/fillings-view';

export const metadata = titled('lamination.fillingsAndShapes');

export default async function FillingsPage() {
  const { now } = await housePage('/fillings');
  const db = pool();
  const [bakery, needs] = await Promise.all([house(db), fillingNeeds(db, now)]);
  return (
    <WordsOf areas={['fillings', 'lamination', 'shaping']}>
      <FillingsView needs={needs} zone={bakery.zone} />
    </WordsOf>
  );
}
