'use client';

import { stageName } from '@/words/code-names';
import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useState } from 'react';
import { bowlsFor, oneBowl, roundToScale } from '@/core/formula/bowls';
import { type Formula, linesOf } from '@/core/formula/formula';
import type { IngredientBook } from '@/core/formula/ingredient';
import { scale, type ScaledFormula, type ScaleTarget } from '@/core/formula/scale';
import { typedGrams } from '@/core/units/typed-grams';
import { parseNumber } from '@/core/units/number';
import { showMass } from '@/core/units/reader';
import { Choice, Field } from '../kit/field';
import { useUnits } from '../live/units';
import type { Coded } from '@/core/codes/coded';
import { Fault } from '@/core/codes/fault';
import type { RoundedFormula } from '@/core/formula/bowls';

const ways = (say: Say): { id: Way; name: string }[] => [
  { id: 'pieces', name: say('formulas.pieces') },
  { id: 'finished', name: say('formulas.doughReadyToCut') },
  { id: 'dough', name: say('common.doughBeforeButter') },
  { id: 'flour', name: say('names.ingredientKind', { kind: 'flour' }) },
  { id: 'ingredient', name: say('formulas.whatIsLeftOfAn') },
];
type Way = 'pieces' | 'finished' | 'dough' | 'flour' | 'ingredient';

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

const begin = (say: Say): Typed => ({
  way: 'pieces',
  weight: say('formulas.n10Kg'),
  pieces: '120',
  piece: '62 g',
  scrap: '7',
  bakeLoss: '',
  keptBack: '',
  filling: '',
  ingredient: '',
});

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
  const say = useWords();
  const [units] = useUnits();
  const [typed, setTyped] = useState(begin(say));
  const [bowlText, setBowlText] = useState('');
  const grams = (text: string): number => typedGrams(text, units) ?? NaN;
  const own = [...new Set(linesOf(formula).map(({ ingredient }) => ingredient))];
  const answer = answerOf(typed, grams, { formula, book, first: own[0] ?? '' });
  const { scaled } = answer;
  const bowl = bowlText.trim() === '' ? bowlGrams : grams(bowlText);
  const bowls = answer.scaled && bowl > 0 ? bowlsFor(answer.scaled.doughGrams, bowl) : 1;
  const rounded = answer.scaled ? roundToScale(oneBowl(answer.scaled, bowls), book) : null;
  const set = (part: Partial<Typed>) => setTyped({ ...typed, ...part });
  return (
    <section aria-label={say('formulas.scaling')} className="mt-6">
      <h2 className="mb-2 text-lg text-quiet">{say('formulas.scaledBy')}</h2>
      <div className="grid grid-cols-2 gap-3">
        <div className="col-span-2">
          <Choice
            label={say('formulas.scaleBy')}
            value={typed.way}
            options={[...ways(say)]}
            onChoose={(way) => set({ way: way as Way })}
          />
        </div>
        <TargetFields typed={typed} set={set} formula={formula} own={own} book={book} />
        <Field
          label={say('formulas.bowlTakes')}
          value={bowlText}
          placeholder={showMass(bowlGrams, units)}
          onType={setBowlText}
        />
      </div>
      {answer.trouble && (
        <p role="alert" className="mt-2 text-warn">
          {say.coded(answer.trouble)}
        </p>
      )}
      {scaled && rounded && <ScaledResult scaled={scaled} bowls={bowls} rounded={rounded} book={book} />}
    </section>
  );
}

interface TargetFieldsProps {
  typed: Typed;
  set: (part: Partial<Typed>) => void;
  formula: Formula;
  own: string[];
  book: IngredientBook;
}

/** What the formula is scaled to. */
function TargetFields({ typed, set, formula, own, book }: TargetFieldsProps) {
  const say = useWords();
  return (
    <>
      {typed.way === 'pieces' ? (
        <>
          <Field
            label={say('formulas.pieces')}
            value={typed.pieces}
            inputMode="numeric"
            onType={(pieces) => set({ pieces })}
          />
          <Field
            label={say('formulas.weightOfAPiece')}
            value={typed.piece}
            onType={(piece) => set({ piece })}
          />
          <Field
            label={say('formulas.scrap')}
            value={typed.scrap}
            inputMode="decimal"
            onType={(scrap) => set({ scrap })}
          />
          <Field
            label={say('formulas.bakeLoss')}
            value={typed.bakeLoss}
            inputMode="decimal"
            onType={(bakeLoss) => set({ bakeLoss })}
          />
          <Field
            label={say('formulas.keptBack')}
            value={typed.keptBack}
            onType={(keptBack) => set({ keptBack })}
          />
          {formula.stages.some(({ kind }) => kind === 'filling') && (
            <Field
              label={say('formulas.fillingAPiece')}
              value={typed.filling}
              placeholder={say('formulas.asInTheFormula')}
              onType={(filling) => set({ filling })}
            />
          )}
        </>
      ) : (
        <>
          {typed.way === 'ingredient' && (
            <Choice
              label={say('formulas.ingredient')}
              value={typed.ingredient || own[0]}
              options={own.map((id) => ({ id, name: say.named(book.get(id)?.name ?? id) }))}
              onChoose={(ingredient) => set({ ingredient })}
            />
          )}
          <Field label={say('formulas.weight')} value={typed.weight} onType={(weight) => set({ weight })} />
        </>
      )}
    </>
  );
}

interface ScaledResultProps {
  scaled: ScaledFormula;
  bowls: number;
  rounded: RoundedFormula;
  book: IngredientBook;
}

/** What is weighed for one bowl. */
function ScaledResult({ scaled, bowls, rounded, book }: ScaledResultProps) {
  const say = useWords();
  const [units] = useUnits();
  return (
    <div className="mt-3">
      <p className="text-lg">
        {say.rich('formulas.ofDough', {
          span: (words) => <span className="font-semibold">{words}</span>,
          mass: showMass(scaled.doughGrams, units),
          rollInGrams: () =>
            scaled.rollInGrams > 0 && (
              <>
                {say.rich('formulas.andOfRollIn', {
                  span: (words) => <span className="font-semibold">{words}</span>,
                  mass: showMass(scaled.rollInGrams, units),
                })}
              </>
            ),
          bowls: () =>
            bowls > 1 && (
              <>
                {say.rich('formulas.inBowlsOf', {
                  span: (words) => <span className="font-semibold">{words}</span>,
                  bowls,
                  mass: showMass(rounded.scaled.doughGrams, units),
                })}
              </>
            ),
        })}
      </p>
      <table className="mt-2 w-full border-collapse">
        <caption className="text-left text-[15px] text-quiet">
          {say('formulas.toWeighForOneBowl', { bowls })}
        </caption>
        <tbody>
          {rounded.scaled.stages.flatMap(({ kind, lines }, s) =>
            lines.map((line, l) => (
              <tr key={`${s}.${l}`} className="border-b border-hairline">
                <th scope="row" className="py-0.5 pr-2 text-left font-normal">
                  {say.named(book.get(line.ingredient)?.name ?? line.ingredient)}
                  {kind !== 'dough' && (
                    <span className="text-[15px] text-quiet"> {stageName(say, kind)}</span>
                  )}
                </th>
                <td className="text-right font-semibold">
                  {say('formulas.partPart2', {
                    part: line.uncounted ? say('formulas.toTaste') : showMass(line.grams, units),
                    part2:
                      line.upTo !== undefined ? say('formulas.to', { mass: showMass(line.upTo, units) }) : '',
                  })}
                </td>
              </tr>
            )),
          )}
        </tbody>
      </table>
      <p className="mt-1 text-[15px] text-quiet">
        {say('formulas.roundingChangedTheDoughBy', {
          doughBy: say.number(Math.abs(rounded.doughBy), 1),
          hydrationBy: say.number(Math.abs(rounded.hydrationBy), 2),
          saltBy: say.number(Math.abs(rounded.saltBy), 3),
        })}
      </p>
    </div>
  );
}

interface ScaledFrom {
  formula: Formula;
  book: IngredientBook;
  first: string;
}

function answerOf(
  typed: Typed,
  grams: (text: string) => number,
  { formula, book, first }: ScaledFrom,
): { scaled: ScaledFormula | null; trouble: Coded | null } {
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
    if (error instanceof Fault) return { scaled: null, trouble: error.fault };
    throw error;
  }
}
