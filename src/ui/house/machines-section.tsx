'use client';

import { unitWords } from '@/core/bakery/machine-words';
import type { OpenSheet } from './open-sheet';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import type { HouseBook } from '@/core/bakery/house-book';

interface MachinesSectionProps {
  book: HouseBook;
  mayPlan: boolean;
  onOpen: (open: OpenSheet) => void;
}

/** The machines, and how much each takes. */
export function MachinesSection({ book, mayPlan, onOpen }: MachinesSectionProps) {
  const say = useWords();
  return (
    <section aria-label={say('house.machines')}>
      <div className="flex items-baseline justify-between border-b border-edge pb-1">
        <h2 className="text-2xl font-bold">{say('house.machines')}</h2>
        {mayPlan && (
          <Button onClick={() => onOpen({ sheet: 'machine', id: '' })}>{say('house.addAMachine')}</Button>
        )}
      </div>
      {book.machines.length === 0 && <p className="py-2 text-lg text-quiet">{say('house.noMachinesYet')}</p>}
      <ul>
        {book.machines.map(({ id, kind, label, capacity, changeover }) => (
          <li key={id} className="flex items-baseline gap-3 border-b border-hairline py-1.5 text-[17px]">
            {mayPlan ? (
              <button
                className="min-h-6 font-semibold underline-offset-4 hover:underline"
                onClick={() => onOpen({ sheet: 'machine', id })}
              >
                {say.named(label)}
              </button>
            ) : (
              <span className="font-semibold">{say.named(label)}</span>
            )}
            <span>
              {capacity} {say.coded(unitWords(kind, capacity))}
            </span>
            {changeover > 0 && (
              <span className="ml-auto text-[15px] text-quiet">
                {say('house.minForAnotherSetting', { changeover })}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
