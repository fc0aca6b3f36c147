import { allergenName } from '@/words/code-names';
import { useWords } from './words';
import type { ReactNode } from 'react';
import { ALLERGENS, type Allergen } from '@/core/formula/ingredient';

interface Props {
  chosen: readonly Allergen[];
  onChange: (chosen: Allergen[]) => void;
  /** One more box behind them. */
  children?: ReactNode;
}

/** The fourteen allergens in the order of the labels, those that are chosen ticked. */
export function AllergenBoxes({ chosen, onChange, children }: Props) {
  const say = useWords();
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-1 text-[15px]">
      {ALLERGENS.map((allergen) => (
        <label key={allergen} className="flex min-h-8 items-center gap-1.5">
          <input
            type="checkbox"
            className="size-5"
            checked={chosen.includes(allergen)}
            onChange={() => onChange(ALLERGENS.filter((one) => (one === allergen) !== chosen.includes(one)))}
          />
          {allergenName(say, allergen)}
        </label>
      ))}
      {children}
    </div>
  );
}
