import { wordsHere } from '@/server/reader';
import { titled } from '../../../titled';
import { notFound } from 'next/navigation';
import { pool } from '@/server/db/pool';
import { formulaPages } from '@/server/formula-pages';
import { housePage } from '@/server/house-page';
import { formulaVersions } from '@/server/store/formulas';
import { house } from '@/server/store/house';
import { namesOf } from '@/server/store/product-names';
import { WordsOf } from '@/app/words-of';
import { FormulaEditor } from '@/ui/formulas/formula-editor';
import { NamesByLanguage } from '@/ui/products/names-by-language';
import { Versions } from '@/ui/formulas/versions';

export const generateMetadata = titled('titles.formula');

const FORMS = [
  { as: 'json', name: 'files.json' },
  { as: 'csv', name: 'files.csv' },
  { as: 'recipe', name: 'files.recipe' },
] as const;

export default async function FormulaPage({ params }: { params: Promise<{ id: string }> }) {
  const { person } = await housePage('/formulas/[id]');
  const id = Number((await params).id);
  const db = pool();
  const versions = Number.isSafeInteger(id) && id > 0 ? await formulaVersions(db, id) : [];
  const [newest] = versions;
  if (!newest) notFound();
  const [{ ingredients, named: formulas, ranges, bowlGrams }, { zone }, named] = await Promise.all([
    formulaPages(db),
    house(db),
    namesOf(db, 'formula', id),
  ]);
  const say = await wordsHere();
  return (
    <WordsOf areas={['files', 'formulas', 'names', 'product']}>
      <main className="flex flex-1 flex-col gap-px bg-hairline">
        <nav
          aria-label={say('files.thisFormula')}
          className="flex flex-wrap items-center gap-x-5 bg-flour px-5 pt-3 text-[15px]"
        >
          <a href="/formulas" className="underline underline-offset-4">
            {say('files.allFormulas')}
          </a>
          <span className="text-quiet">{say('files.takeItAlongAs')}</span>
          {FORMS.map(({ as, name }) => (
            <a
              key={as}
              href={`/api/formulas/${id}?as=${as}`}
              download
              className="underline underline-offset-4"
            >
              {say(name)}
            </a>
          ))}
        </nav>
        <FormulaEditor
          key={newest.id}
          version={newest}
          {...{ formulas, ingredients, ranges, bowlGrams }}
          mayChange={person.role === 'planner'}
        />
        <Versions key={`v${newest.id}`} versions={versions} {...{ formulas, ingredients, zone }} />
        {named && (
          <div className="bg-flour pt-5">
            <NamesByLanguage what="formula" {...{ id, named }} mayChange={person.role === 'planner'} />
          </div>
        )}
      </main>
    </WordsOf>
  );
}
