'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useState } from 'react';
import { analyse } from '@/core/formula/analysis';
import { compareFormulas } from '@/core/formula/compare';
import type { Formula } from '@/core/formula/formula';
import type { Ingredient } from '@/core/formula/ingredient';
import { bookWithFormulas, type NamedFormula } from '@/core/formula/parts';
import { Choice } from '../kit/field';

export interface ShownVersion {
  id: number;
  version: number;
  note: string;
  by: string | null;
  at: number;
  formula: Formula;
}

const shown = (say: Say, value: number | null) =>
  value === null ? say('formulas.none') : `${say.number(value, 2)} %`;

/** All versions of a formula, and two of them side by side. */
export function Versions({
  versions,
  ingredients,
  formulas,
  zone,
}: {
  versions: ShownVersion[];
  ingredients: Ingredient[];
  formulas: NamedFormula[];
  zone: string;
}) {
  const say = useWords();
  const [left, setLeft] = useState(versions[1]?.id ?? versions[0]?.id ?? 0);
  const [right, setRight] = useState(versions[0]?.id ?? 0);
  const book = bookWithFormulas(ingredients, formulas);

  const [a, b] = [versions.find(({ id }) => id === left), versions.find(({ id }) => id === right)];
  const [was, is] = [a && analyse(a.formula, book), b && analyse(b.formula, book)];
  const totals =
    was && is
      ? [
          { name: say('formulas.hydration'), before: was.hydration, after: is.hydration },
          { name: say('names.ingredientKind', { kind: 'sugar' }), before: was.sugar, after: is.sugar },
          { name: say('names.ingredientKind', { kind: 'salt' }), before: was.salt, after: is.salt },
          { name: say('formulas.rollInOfTheDough2'), before: was.rollInOfDough, after: is.rollInOfDough },
        ]
      : [];
  return (
    <section aria-label={say('formulas.versions')} className="bg-flour p-5">
      <h2 className="mb-2 text-2xl font-semibold">{say('formulas.versions')}</h2>
      <ol className="mb-4">
        {versions.map(({ id, version, note, by, at }) => (
          <li key={id} className="border-b border-hairline py-1">
            <span className="font-semibold">{say('formulas.version', { version })}</span>,{' '}
            {say.dayMonth(at, zone)}
            {by && `, ${by}`}
            {note && <span className="text-quiet">: {note}</span>}
          </li>
        ))}
      </ol>
      {versions.length > 1 && a && b && (
        <>
          <VersionChoice left={left} onLeft={setLeft} right={right} onRight={setRight} versions={versions} />
          <table className="mt-3 w-full max-w-2xl border-collapse text-left">
            <thead>
              <tr className="border-b border-edge text-[15px] text-quiet">
                {[
                  say('formulas.ingredient'),
                  say('formulas.stage'),
                  say('formulas.version2', { version: a.version }),
                  say('formulas.version2', { version: b.version }),
                  say('formulas.change'),
                ].map((heading) => (
                  <th key={heading} scope="col" className="py-1 pr-4 font-normal">
                    {heading}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {[
                ...compareFormulas(a.formula, b.formula).map(({ stage, ingredient, before, after }) => {
                  return {
                    name: book.get(ingredient)?.name ?? ingredient,
                    stage: stage,
                    before,
                    after,
                  };
                }),
                ...totals.map((total) => ({ ...total, stage: say('formulas.inAll') })),
              ].map((row) => (
                <ChangeRow key={row.stage + row.name} row={row} />
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  );
}

interface VersionChoiceProps {
  left: number;
  onLeft: (value: number) => void;
  right: number;
  onRight: (value: number) => void;
  versions: ShownVersion[];
}

/** Which two versions are compared. */
function VersionChoice({ left, onLeft, right, onRight, versions }: VersionChoiceProps) {
  const say = useWords();
  const options = versions.map(({ id, version }) => ({
    id: String(id),
    name: say('formulas.version', { version }),
  }));
  return (
    <div className="grid max-w-md grid-cols-2 gap-3">
      <Choice
        label={say('formulas.compare')}
        value={left}
        options={options}
        onChoose={(id) => onLeft(Number(id))}
      />
      <Choice
        label={say('formulas.with')}
        value={right}
        options={options}
        onChoose={(id) => onRight(Number(id))}
      />
    </div>
  );
}

interface ChangeRowProps {
  row: { name: string; stage: string; before: number | null; after: number | null };
}

/** What one ingredient or total was, is, and how far it changed. */
function ChangeRow({ row }: ChangeRowProps) {
  const say = useWords();
  const { name, stage, before, after } = row;

  const by = (after ?? 0) - (before ?? 0);
  const same = Math.abs(by) < 0.005 && (before === null) === (after === null);
  return (
    <tr className={same ? 'border-b border-hairline text-quiet' : 'border-b border-hairline font-semibold'}>
      <th scope="row" className="py-1 pr-4 font-[inherit]">
        {say.named(name)}
      </th>
      <td className="pr-4">{stage}</td>
      <td className="pr-4">{shown(say, before)}</td>
      <td className="pr-4">{shown(say, after)}</td>
      <td>
        {same
          ? say('formulas.same')
          : before === null
            ? say('formulas.new')
            : after === null
              ? say('formulas.dropped')
              : `${by > 0 ? '+' : '−'}${say.number(Math.abs(by), 2)}`}
      </td>
    </tr>
  );
}
