import { titled } from '../../titled';
import { linesOf } from '@/core/formula/formula';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { dressingNeeds } from '@/server/store/fillings';
import { currentFormulas, ingredientsAndFormulas } from '@/server/store/formulas';
import { house } from '@/server/store/house';
import { WordsOf } from '@/app/words-of';
import { FillingsView } from '@/ui/fillings/fillings-view';

export const generateMetadata = titled('schemes.fillingsAndShapes');

export default async function FillingsPage() {
  const { now } = await housePage('/fillings');
  const db = pool();
  const [bakery, needs, current, book] = await Promise.all([
    house(db),
    dressingNeeds(db, now),
    currentFormulas(db),
    ingredientsAndFormulas(db),
  ]);
  const used = new Set(needs.flatMap(({ part }) => part.formulaId ?? []));
  const formulas = current.filter(({ formulaId }) => used.has(formulaId));
  const named = formulas.flatMap(({ formula }) => linesOf(formula).map(({ ingredient }) => ingredient));
  return (
    <WordsOf areas={['fillings', 'names', 'schemes', 'shaping']}>
      <FillingsView
        {...{ needs, zone: bakery.zone }}
        formulas={Object.fromEntries(formulas.map(({ formulaId, formula }) => [formulaId, formula]))}
        names={Object.fromEntries(named.map((id) => [id, book.get(id)?.name ?? id]))}
      />
    </WordsOf>
  );
}
