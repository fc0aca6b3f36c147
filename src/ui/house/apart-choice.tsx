'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ALLERGENS, type Allergen } from '@/core/formula/ingredient';
import { useWords } from '../kit/words';
import { send } from '../live/command';

/** Allergens that are kept apart: proposals give them doughs of their own, after the plain ones. */
export function ApartChoice({ apart }: { apart: readonly Allergen[] }) {
  const say = useWords();
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const toggle = async (allergen: Allergen) => {
    const next = ALLERGENS.filter((one) => (one === allergen ? !apart.includes(one) : apart.includes(one)));
    const answer = await send('save-house', { apart: next });
    setTrouble(answer.ok ? null : answer.message);
    if (answer.ok) router.refresh();
  };
  return (
    <section aria-label={say('setup.keptApart')}>
      <h2 className="border-b border-edge pb-1 text-xl font-bold">{say('setup.keptApart')}</h2>
      <p className="py-1 text-[15px] text-quiet">{say('setup.keptApartMeans')}</p>
      <div className="flex flex-wrap gap-x-4">
        {ALLERGENS.map((allergen) => (
          <label key={allergen} className="flex min-h-9 items-center gap-1.5">
            <input
              type="checkbox"
              className="size-5"
              checked={apart.includes(allergen)}
              onChange={() => void toggle(allergen)}
            />
            {allergen}
          </label>
        ))}
      </div>
      {trouble && (
        <p role="alert" className="text-warn">
          {trouble}
        </p>
      )}
    </section>
  );
}
