import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { formulaPages } from '@/server/formula-pages';
import { housePage } from '@/server/house-page';
import { WordsOf } from '@/app/words-of';
import { FormulaList } from '@/ui/formulas/formula-list';

export const generateMetadata = titled('titles.formulas');

export default async function FormulasPage() {
  const { person } = await housePage('/formulas');
  const { formulas, ingredients, products } = await formulaPages(pool());
  const listed = formulas.map(({ formulaId, name, version, formula }) => ({
    ...{ formulaId, name, version, formula, products: products.get(formulaId) ?? [] },
  }));
  return (
    <WordsOf areas={['formulas', 'names']}>
      <FormulaList formulas={listed} ingredients={ingredients} person={person} />
    </WordsOf>
  );
}
