'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Allergen } from '@/core/formula/ingredient';
import { AllergenBoxes } from '../kit/allergen-boxes';
import { useWords } from '../kit/words';
import { send } from '../live/command';

/** Allergens that are kept apart: proposals give them doughs of their own, after the plain ones. */
export function ApartChoice({ apart }: { apart: readonly Allergen[] }) {
  const say = useWords();
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const keep = async (next: Allergen[]) => {
    const answer = await send('save-house', { apart: next });
    setTrouble(answer.ok ? null : answer.message);
    if (answer.ok) router.refresh();
  };
  return (
    <section aria-label={say('setup.keptApart')}>
      <h2 className="border-b border-edge pb-1 text-xl font-bold">{say('setup.keptApart')}</h2>
      <p className="py-1 text-[15px] text-quiet">{say('setup.keptApartMeans')}</p>
      <AllergenBoxes chosen={apart} onChange={(next) => void keep(next)} />
      {trouble && (
        <p role="alert" className="text-warn">
          {trouble}
        </p>
      )}
    </section>
  );
}
