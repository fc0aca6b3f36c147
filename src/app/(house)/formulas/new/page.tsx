import { titled } from '../../../titled';
import { pool } from '@/server/db/pool';
import { formulaPages } from '@/server/formula-pages';
import { housePage } from '@/server/house-page';
import { WordsOf } from '@/app/words-of';
import { FormulaEditor } from '@/ui/formulas/formula-editor';

export const generateMetadata = titled('titles.newFormula');

export default async function NewFormulaPage() {
  await housePage('/formulas/new');
  const { ingredients, named, ranges, bowlGrams } = await formulaPages(pool());
  return (
    <WordsOf areas={['files', 'formulas', 'names']}>
      <main className="flex flex-1">
        <FormulaEditor version={null} formulas={named} {...{ ingredients, ranges, bowlGrams }} mayChange />
      </main>
    </WordsOf>
  );
}
