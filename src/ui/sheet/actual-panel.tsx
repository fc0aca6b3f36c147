'use client';

import { allergenName } from '@/words/code-names';
import type { Say } from '@/words/say';
import { useWords } from '../kit/words';
import { useState } from 'react';
import type { MixChange } from '@/core/formula/actual';
import type { Analysis } from '@/core/formula/analysis';
import { measuringOf, type IngredientBook } from '@/core/formula/ingredient';
import { weighText } from '@/core/units/weigh';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useUnits } from '../live/units';

interface Props {
  planned: Analysis;
  actual: Analysis;
  /** What was done differently, in words. */
  words: string[];
  book: IngredientBook;
  onChange: (change: MixChange) => unknown;
  /** Makes it a new version; says how that went. */
  onAdopt: () => Promise<string>;
}

/** An allergen, with what brings it: "milk (butter, milk)". */
const broughtBy = (say: Say, { allergen, from }: Analysis['allergens'][number]): string =>
  `${allergenName(say, allergen)} (${from.map((one) => say.named(one)).join(', ')})`;

/** What was really done: held back, added, and what the dough is by that. */
export function ActualPanel({ planned, actual, words, book, onChange, onAdopt }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const [what, setWhat] = useState(say('sheet.wheatFlour'));
  const [amount, setAmount] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [told, setTold] = useState<string | null>(null);
  const tell = (sign: 1 | -1) => {
    const ingredient = book.find(what);
    if (!ingredient) {
      setTrouble(say('sheet.theHouseDoesNotKnow', { what }));
      return;
    }
    const weighed = weighText(
      amount,
      { ...measuringOf(ingredient, units.kitchen), bare: units.mass },
      say.language,
    );
    if (!weighed.ok || weighed.value.grams <= 0) {
      setTrouble(weighed.ok ? say('sheet.howMuch') : say.coded(weighed.message));
      return;
    }
    setTrouble(null);
    setAmount('');
    onChange({
      kind: 'adjusted',
      ingredient: ingredient.id,
      grams: (sign * Math.round(weighed.value.grams * 10)) / 10,
    });
  };
  const before = new Set(planned.allergens.map(({ allergen }) => allergen));
  const added = actual.allergens.filter(({ allergen }) => !before.has(allergen));
  return (
    <section aria-label={say('sheet.reallyDone')} className="mt-6 border-t border-hairline pt-4">
      <h2 className="mb-2 text-2xl font-semibold">{say('sheet.reallyDone')}</h2>
      <div className="grid grid-cols-2 gap-3">
        <Field label={say('sheet.of')} size="floor" value={what} onType={setWhat} list="sheet-ingredients" />
        <Field
          label={say('sheet.howMuch2')}
          size="floor"
          value={amount}
          onType={setAmount}
          placeholder="400 g"
          trouble={trouble}
        />
        <datalist id="sheet-ingredients">
          {book.all.map(({ id, name }) => (
            <option key={id} value={name} />
          ))}
        </datalist>
        <Button floor onClick={() => tell(-1)}>
          {say('sheet.heldBack')}
        </Button>
        <Button floor onClick={() => tell(1)}>
          {say('sheet.added')}
        </Button>
      </div>
      <div className="mt-3 text-lg">
        {words.length === 0 ? (
          <p className="text-quiet">{say('sheet.mixedByTheSheetSo')}</p>
        ) : (
          <>
            <ul aria-label={say('sheet.differentFromTheSheet')}>
              {words.map((word, i) => (
                <li key={i} className="font-semibold">
                  {word}
                </li>
              ))}
            </ul>
            <p>
              {say.rich('sheet.hydrationByTheSheet', {
                span: (words) => <span className="font-bold">{words}</span>,
                hydration: say.number(actual.hydration, 1),
                hydration2: say.number(planned.hydration, 1),
              })}
            </p>
            {added.length > 0 && (
              <p role="alert" className="text-warn">
                {say('sheet.nowAlsoContainsTellThe', {
                  added: added.map((one) => broughtBy(say, one)).join(', '),
                })}
              </p>
            )}
            <Button floor className="mt-2" onClick={() => void onAdopt().then(setTold)}>
              {say('sheet.makeItANewVersion')}
            </Button>
          </>
        )}
        {told && (
          <p role="status" className="mt-2">
            {told}
          </p>
        )}
      </div>
    </section>
  );
}
