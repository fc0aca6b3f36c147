import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { pool } from '@/server/db/pool';
import { formulaPages } from '@/server/formula-pages';
import { housePage } from '@/server/house-page';
import { formulaVersions } from '@/server/store/formulas';
import { house } from '@/server/store/house';
import { WordsOf } from '@/ui/kit/words-of';
import { FormulaEditor } from '@/ui/formulas/formula-editor';
import { Versions } from '@/ui/formulas/versions';

export const metadata: Metadata = { title: 'Formula' };

const FORMS = [
  { as: 'json', name: 'JSON' },
  { as: 'csv', name: 'CSV' },
  { as: 'recipe', name: 'schema.org Recipe' },
];

export default async function FormulaPage({ params }: { params: Promise<{ id: string }> }) {
  const { person } = await housePage('/formulas/[id]');
  const id = Number((await params).id);
  const db = pool();
  const versions = Number.isSafeInteger(id) && id > 0 ? await formulaVersions(db, id) : [];
  const [newest] = versions;
  if (!newest) notFound();
  const [{ ingredients, named, ranges, bowlGrams }, { zone }] = await Promise.all([
    formulaPages(db),
    house(db),
  ]);
  return (
    <WordsOf areas={['amounts', 'files']}>
      <main className="flex flex-1 flex-col gap-px bg-hairline">
        <nav
          aria-label="This formula"
          className="flex flex-wrap items-center gap-x-5 bg-flour px-5 pt-3 text-[15px]"
        >
          <a href="/formulas" className="underline underline-offset-4">
            All formulas
          </a>
          <span className="text-quiet">take it along as</span>
          {FORMS.map(({ as, name }) => (
            <a
              key={as}
              href={`/api/formulas/${id}?as=${as}`}
              download
              className="underline underline-offset-4"
            >
              {name}
            </a>
          ))}
        </nav>
        <FormulaEditor
          key={newest.id}
          version={newest}
          formulas={named}
          {...{ ingredients, ranges, bowlGrams }}
          mayChange={person.role === 'planner'}
        />
        <Versions
          key={`v${newest.id}`}
          versions={versions}
          formulas={named}
          ingredients={ingredients}
          zone={zone}
        />
      </main>
    </WordsOf>
  );
}
