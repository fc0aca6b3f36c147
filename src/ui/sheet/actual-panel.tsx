'use client';

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

/** What was really done: held back, added, and what the dough is by that. */
export function ActualPanel({ planned, actual, words, book, onChange, onAdopt }: Props) {
  const [units] = useUnits();
  const [what, setWhat] = useState('wheat flour');
  const [amount, setAmount] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [told, setTold] = useState<string | null>(null);
  const tell = (sign: 1 | -1) => {
    const ingredient = book.find(what);
    if (!ingredient) {
      setTrouble(`The house does not know “${what}”.`);
      return;
    }
    const weighed = weighText(amount, { ...measuringOf(ingredient, units.kitchen), bare: units.mass });
    if (!weighed.ok || weighed.value.grams <= 0) {
      setTrouble(weighed.ok ? 'How much?' : weighed.message);
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
    <section aria-label="Really done" className="mt-6 border-t border-hairline pt-4">
      <h2 className="mb-2 text-2xl font-semibold">Really done</h2>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Of" size="floor" value={what} onType={setWhat} list="sheet-ingredients" />
        <Field
          label="How much"
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
          Held back
        </Button>
        <Button floor onClick={() => tell(1)}>
          Added
        </Button>
      </div>
      <div className="mt-3 text-lg">
        {words.length === 0 ? (
          <p className="text-quiet">Mixed by the sheet so far.</p>
        ) : (
          <>
            <ul aria-label="Different from the sheet">
              {words.map((word, i) => (
                <li key={i} className="font-semibold">
                  {word}
                </li>
              ))}
            </ul>
            <p>
              Hydration <span className="font-bold">{actual.hydration.toFixed(1)} %</span>, by the sheet{' '}
              {planned.hydration.toFixed(1)} %.
            </p>
            {added.length > 0 && (
              <p role="alert" className="text-warn">
                Now also contains{' '}
                {added.map(({ allergen, from }) => `${allergen} (${from.join(', ')})`).join(', ')}: tell the
                shop.
              </p>
            )}
            <Button floor className="mt-2" onClick={() => void onAdopt().then(setTold)}>
              Make it a new version
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
