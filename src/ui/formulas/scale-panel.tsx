'use client';

import { useState } from 'react';
import { bowlsFor, oneBowl, roundToScale } from '@/core/formula/bowls';
import { linesOf, type Formula } from '@/core/formula/formula';
import type { IngredientBook } from '@/core/formula/ingredient';
import { scale, type ScaledFormula, type ScaleTarget } from '@/core/formula/scale';
import { typedGrams } from '@/core/units/typed-grams';
import { parseNumber } from '@/core/units/number';
import { showMass } from '@/core/units/reader';
import { Choice, Field } from '../kit/field';
import { useUnits } from '../live/units';

const WAYS = [
  { id: 'pieces', name: 'pieces' },
  { id: 'finished', name: 'dough ready to cut' },
  { id: 'dough', name: 'dough before butter' },
  { id: 'flour', name: 'flour' },
  { id: 'ingredient', name: 'what is left of an ingredient' },
] as const;
type Way = (typeof WAYS)[number]['id'];

interface Typed {
  way: Way;
  weight: string;
  pieces: string;
  piece: string;
  scrap: string;
  bakeLoss: string;
  keptBack: string;
  filling: string;
  ingredient: string;
}

const BEGIN: Typed = {
  way: 'pieces',
  weight: '10 kg',
  pieces: '120',
  piece: '62 g',
  scrap: '7',
  bakeLoss: '',
  keptBack: '',
  filling: '',
  ingredient: '',
};

/** Scales a formula and splits it over bowls, beside the formula or alone on the workbench. */
export function ScalePanel({
  formula,
  book,
  bowlGrams,
}: {
  formula: Formula;
  book: IngredientBook;
  bowlGrams: number;
}) {
  const [units] = useUnits();
  const [typed, setTyped] = useState(BEGIN);
  const [bowlText, setBowlText] = useState('');
  const grams = (text: string): number => typedGrams(text, units) ?? NaN;
  const own = [...new Set(linesOf(formula).map(({ ingredient }) => ingredient))];
  const answer = answerOf(typed, grams, formula, book, own[0] ?? '');
  const bowl = bowlText.trim() === '' ? bowlGrams : grams(bowlText);
  const bowls = answer.scaled && bowl > 0 ? bowlsFor(answer.scaled.doughGrams, bowl) : 1;
  const rounded = answer.scaled ? roundToScale(oneBowl(answer.scaled, bowls), book) : null;
  const set = (part: Partial<Typed>) => setTyped({ ...typed, ...part });
  return (
    <section aria-label="Scaling" className="mt-6">
      <h2 className="mb-2 text-lg text-quiet">scaled by</h2>
      <div className="grid grid-cols-2 gap-3">
        <div className="col-span-2">
          <Choice
            label="Scale by"
            value={typed.way}
            options={[...WAYS]}
            onChoose={(way) => set({ way: way as Way })}
          />
        </div>
        {typed.way === 'pieces' ? (
          <>
            <Field
              label="Pieces"
              value={typed.pieces}
              inputMode="numeric"
              onType={(pieces) => set({ pieces })}
            />
            <Field label="Weight of a piece" value={typed.piece} onType={(piece) => set({ piece })} />
            <Field
              label="Scrap, %"
              value={typed.scrap}
              inputMode="decimal"
              onType={(scrap) => set({ scrap })}
            />
            <Field
              label="Bake loss, %"
              value={typed.bakeLoss}
              inputMode="decimal"
              onType={(bakeLoss) => set({ bakeLoss })}
            />
            <Field label="Kept back" value={typed.keptBack} onType={(keptBack) => set({ keptBack })} />
            {formula.stages.some(({ kind }) => kind === 'filling') && (
              <Field
                label="Filling a piece"
                value={typed.filling}
                placeholder="as in the formula"
                onType={(filling) => set({ filling })}
              />
            )}
          </>
        ) : (
          <>
            {typed.way === 'ingredient' && (
              <Choice
                label="Ingredient"
                value={typed.ingredient || own[0]}
                options={own.map((id) => ({ id, name: book.get(id)?.name ?? id }))}
                onChoose={(ingredient) => set({ ingredient })}
              />
            )}
            <Field label="Weight" value={typed.weight} onType={(weight) => set({ weight })} />
          </>
        )}
        <Field
          label="Bowl takes"
          value={bowlText}
          placeholder={showMass(bowlGrams, units)}
          onType={setBowlText}
        />
      </div>
      {answer.trouble && (
        <p role="alert" className="mt-2 text-warn">
          {answer.trouble}
        </p>
      )}
      {answer.scaled && rounded && (
        <div className="mt-3">
          <p className="text-lg">
            <span className="font-semibold">{showMass(answer.scaled.doughGrams, units)}</span> of dough
            {answer.scaled.rollInGrams > 0 && (
              <>
                {' '}
                and <span className="font-semibold">{showMass(answer.scaled.rollInGrams, units)}</span> of
                roll-in
              </>
            )}
            {bowls > 1 && (
              <>
                , in <span className="font-semibold">{bowls} bowls</span> of{' '}
                {showMass(rounded.scaled.doughGrams, units)}
              </>
            )}
          </p>
          <table className="mt-2 w-full border-collapse">
            <caption className="text-left text-[15px] text-quiet">
              {bowls > 1 ? 'for one bowl' : 'to weigh'}
            </caption>
            <tbody>
              {rounded.scaled.stages.flatMap(({ kind, lines }, s) =>
                lines.map((line, l) => (
                  <tr key={`${s}.${l}`} className="border-b border-hairline">
                    <th scope="row" className="py-0.5 pr-2 text-left font-normal">
                      {book.get(line.ingredient)?.name ?? line.ingredient}
                      {kind !== 'dough' && <span className="text-[15px] text-quiet"> {kind}</span>}
                    </th>
                    <td className="text-right font-semibold">
                      {line.uncounted ? 'to taste' : showMass(line.grams, units)}
                      {line.upTo !== undefined && ` to ${showMass(line.upTo, units)}`}
                    </td>
                  </tr>
                )),
              )}
            </tbody>
          </table>
          <p className="mt-1 text-[15px] text-quiet">
            Rounding changed the dough by {Math.abs(rounded.doughBy).toFixed(1)} g, hydration by{' '}
            {Math.abs(rounded.hydrationBy).toFixed(2)} and salt by {Math.abs(rounded.saltBy).toFixed(3)}{' '}
            points.
          </p>
        </div>
      )}
    </section>
  );
}

function answerOf(
  typed: Typed,
  grams: (text: string) => number,
  formula: Formula,
  book: IngredientBook,
  first: string,
): { scaled: ScaledFormula | null; trouble: string | null } {
  const share = (text: string) =>
    text.trim() === '' ? 0 : (parseNumber(text.replace('%', '')) ?? NaN) / 100;
  const pieces = parseNumber(typed.pieces);
  const target: ScaleTarget =
    typed.way === 'pieces'
      ? {
          by: 'pieces',
          batches: [
            {
              pieces: pieces ?? NaN,
              grams: grams(typed.piece),
              scrap: share(typed.scrap),
              bakeLoss: share(typed.bakeLoss),
              ...(typed.filling.trim() === '' ? {} : { filling: grams(typed.filling) }),
            },
          ],
          keptBack: typed.keptBack.trim() === '' ? 0 : grams(typed.keptBack),
        }
      : typed.way === 'ingredient'
        ? { by: 'ingredient', ingredient: typed.ingredient || first, grams: grams(typed.weight) }
        : { by: typed.way, grams: grams(typed.weight) };
  try {
    return { scaled: scale(formula, book, target), trouble: null };
  } catch (error) {
    if (error instanceof RangeError) return { scaled: null, trouble: error.message };
    throw error;
  }
}
