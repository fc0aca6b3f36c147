'use client';

import type { HouseBook } from '@/core/bakery/house-book';
import { PLACE_KINDS } from '@/core/heat/places';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { useCelsius } from '../live/units';
import type { OpenSheet } from './open-sheet';

interface Props {
  book: HouseBook;
  mayPlan: boolean;
  onOpen: (open: OpenSheet) => void;
}

/** Rooms, corners, insides of machines and core probes, with what each usually has. */
export function PlacesSection({ book, mayPlan, onOpen }: Props) {
  const say = useWords();
  const celsius = useCelsius();
  return (
    <section aria-label={say('house.places')}>
      <div className="flex items-baseline justify-between border-b border-edge pb-1">
        <h2 className="text-2xl font-bold">{say('house.places')}</h2>
        {mayPlan && (
          <Button onClick={() => onOpen({ sheet: 'place', id: '' })}>{say('house.addAPlace')}</Button>
        )}
      </div>
      <ul>
        {book.places.map(({ id, label, kind, usual, inDough }) => (
          <li
            key={id}
            className="flex flex-wrap items-baseline gap-x-3 border-b border-hairline py-1.5 text-[17px]"
          >
            {mayPlan ? (
              <button
                className="min-h-6 font-semibold underline-offset-4 hover:underline"
                onClick={() => onOpen({ sheet: 'place', id })}
              >
                {say.named(label)}
              </button>
            ) : (
              <span className="font-semibold">{say.named(label)}</span>
            )}
            <span className="ml-auto text-[15px] text-quiet">
              {inDough
                ? say('house.coreProbe')
                : say('house.placeUsually', {
                    kind: say.coded(PLACE_KINDS[kind].label),
                    celsius: celsius(usual),
                  })}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
