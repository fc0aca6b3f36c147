'use client';

import { allergenNames } from '@/words/code-names';
import type { Say } from '@/words/say';
import { useWords } from '../kit/words';
import { Plus } from 'lucide-react';
import { analyse, type Analysis } from '@/core/formula/analysis';
import type { Formula } from '@/core/formula/formula';
import type { Ingredient } from '@/core/formula/ingredient';
import { bookWithFormulas } from '@/core/formula/parts';
import type { Person } from '@/core/bakery/people';
import { go } from '../live/go';
import { useCelsius } from '../live/units';
import { useKeys } from '../kit/use-keys';
import { Composition } from './composition';
import { Drafts } from './drafts';

export interface ListedFormula {
  formulaId: number;
  name: string;
  version: number;
  formula: Formula;
  products: string[];
}

const percent = (say: Say, value: number) => `${say.number(value, 1)} %`;

/** Every formula of the house with what a baker asks of it first. */
export function FormulaList({
  formulas,
  ingredients,
  person,
}: {
  formulas: ListedFormula[];
  ingredients: Ingredient[];
  person: Person;
}) {
  const say = useWords();
  const mayChange = person.role === 'planner';
  const book = bookWithFormulas(
    ingredients,
    formulas.map(({ formulaId, name, formula }) => ({ id: formulaId, name, formula })),
  );
  const analysed = formulas.map((one) => ({ ...one, analysis: analyse(one.formula, book) }));
  const doughs = analysed.filter(({ analysis }) => analysis.flour > 0);
  const others = analysed.filter(({ analysis }) => analysis.flour === 0);
  useKeys({ n: () => mayChange && go('/formulas/new') });
  return (
    <main className="flex-1 p-5">
      <ListHead mayChange={mayChange} />
      <Drafts />
      <div
        className="relative overflow-x-auto"
        tabIndex={0}
        role="group"
        aria-label={say('formulas.doughsOfTheHouse')}
      >
        <table className="w-full min-w-[52rem] border-collapse text-left text-[17px]">
          <caption className="mb-1 text-left text-lg text-quiet">{say('formulas.doughsInPerCentOf')}</caption>
          <thead>
            <tr className="border-b border-edge text-[15px] text-quiet">
              {[
                say('formulas.name'),
                say('formulas.hydration'),
                say('formulas.fat'),
                say('formulas.sugar'),
                say('formulas.salt'),
                say('formulas.rollInOfDough'),
                say('formulas.dough'),
                say('formulas.contains'),
                say('formulas.usedFor'),
              ].map((heading) => (
                <th key={heading} scope="col" className="py-1 pr-4 font-normal">
                  {heading}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {doughs.map((dough) => (
              <DoughRow key={dough.formulaId} dough={dough} />
            ))}
          </tbody>
        </table>
      </div>
      {others.length > 0 && (
        <>
          <h2 className="mt-6 mb-1 text-lg text-quiet">{say('formulas.fillingsAndFinishes')}</h2>
          <ul className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
            {others.map((formula) => (
              <FinishItem key={formula.formulaId} formula={formula} />
            ))}
          </ul>
        </>
      )}
    </main>
  );
}

interface ListHeadProps {
  mayChange: boolean;
}

/** The heading, and the way to a new formula. */
function ListHead({ mayChange }: ListHeadProps) {
  const say = useWords();
  return (
    <div className="mb-4 flex flex-wrap items-center gap-4">
      <h1 className="text-3xl font-bold">{say('formulas.formulas')}</h1>
      <a
        href="/formulas/ingredients"
        className="grid min-h-10 place-items-center rounded border border-edge bg-flour px-4"
      >
        {say('formulas.ingredients')}
      </a>
      {mayChange && (
        <a
          href="/formulas/new"
          className="ml-auto flex min-h-10 items-center gap-1 rounded bg-butter px-4 font-semibold text-on-butter"
        >
          <Plus aria-hidden size={18} />
          {say.rich('formulas.newFormulaN', {
            kbd: (words) => <kbd className="ml-1 font-sans font-bold">{words}</kbd>,
          })}
        </a>
      )}
    </div>
  );
}

type Analysed = ListedFormula & { analysis: Analysis };

interface DoughRowProps {
  dough: Analysed;
}

/** A dough in per cent of its flour. */
function DoughRow({ dough }: DoughRowProps) {
  const say = useWords();
  const celsius = useCelsius();
  const { formulaId, name, version, analysis, products, formula } = dough;
  return (
    <tr className="border-b border-hairline align-baseline">
      <th scope="row" className="py-2 pr-4 font-semibold">
        <a href={`/formulas/${formulaId}`} className="underline underline-offset-4">
          {say.named(name)}
        </a>{' '}
        <span className="text-[15px] font-normal whitespace-nowrap text-quiet">
          {say('formulas.version', { version })}
        </span>
        <Composition analysis={analysis} />
      </th>
      <td className="pr-4 whitespace-nowrap">{percent(say, analysis.hydration)}</td>
      <td className="pr-4 whitespace-nowrap">{percent(say, analysis.fat)}</td>
      <td className="pr-4 whitespace-nowrap">{percent(say, analysis.sugar)}</td>
      <td className="pr-4 whitespace-nowrap">{percent(say, analysis.salt)}</td>
      <td className="pr-4 whitespace-nowrap">
        {analysis.rollInOfDough > 0 ? percent(say, analysis.rollInOfDough) : say('formulas.none')}
      </td>
      <td className="pr-4 whitespace-nowrap">
        {formula.doughCelsius === null ? '' : celsius(formula.doughCelsius)}
      </td>
      <td className="pr-4">
        {allergenNames(
          say,
          analysis.allergens.map(({ allergen }) => allergen),
        )}
        {analysis.undeclared.length > 0 && (
          <span className="block text-warn">
            {say('formulas.notKnown2', {
              undeclared: analysis.undeclared.map((name) => say.named(name)).join(', '),
            })}
          </span>
        )}
      </td>
      <td>{products.map((one) => say.named(one)).join(', ')}</td>
    </tr>
  );
}

interface FinishItemProps {
  formula: Analysed;
}

/** A filling or finish, and what it contains. */
function FinishItem({ formula }: FinishItemProps) {
  const say = useWords();
  const { formulaId, name, version, analysis } = formula;
  return (
    <li className="border-b border-hairline py-2">
      <a href={`/formulas/${formulaId}`} className="text-[17px] font-semibold underline underline-offset-4">
        {say.named(name)}
      </a>{' '}
      <span className="text-[15px] text-quiet">{say('formulas.version', { version })}</span>
      <p className="text-[15px]">
        {say('formulas.partPart2', {
          part:
            analysis.undeclared.length > 0
              ? say('formulas.labelIncompleteNotKnown', {
                  undeclared: analysis.undeclared.map((name) => say.named(name)).join(', '),
                })
              : '',
          part2:
            analysis.allergens.length > 0
              ? say('formulas.contains3', {
                  allergens: allergenNames(
                    say,
                    analysis.allergens.map(({ allergen }) => allergen),
                  ),
                })
              : analysis.undeclared.length === 0 && say('formulas.noneOfTheFourteenAllergens2'),
        })}
      </p>
    </li>
  );
}
