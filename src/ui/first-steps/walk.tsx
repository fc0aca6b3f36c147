'use client';

import { useEffect, useState } from 'react';
import type { Person } from '@/core/bakery/people';
import type { FirstSteps as Steps, Guided } from '@/core/shopfloor/first-steps';
import type { Say } from '@/words/say';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { guidedPart } from './guided';
import { useBox } from './use-box';

const stepWords = (say: Say): Record<Guided, string> => ({
  'plan-threads': say('firstSteps.planThreads'),
  'plan-panel': say('firstSteps.planPanel'),
  'nav-orders': say('firstSteps.navOrders'),
  'bench-now': say('firstSteps.benchNow'),
  'bench-next': say('firstSteps.benchNext'),
  'floor-tabs': say('firstSteps.floorTabs'),
  'floor-trouble': say('firstSteps.floorTrouble'),
});

/** One step after the other; the work under it goes on, and nothing is in its way. */
export function Walk({
  person,
  steps: { steps },
  onEnd,
}: {
  person: Person;
  steps: Steps;
  onEnd: () => void;
}) {
  const say = useWords();
  const [nth, setNth] = useState(0);
  const place = steps[nth] ?? steps[0];
  useEffect(() => {
    if (place) guidedPart(place)?.scrollIntoView({ block: 'nearest' });
  }, [place]);
  if (!place) return null;
  const isLast = nth === steps.length - 1;
  return (
    <>
      <Ring place={place} />
      <aside
        aria-label={say('firstSteps.title')}
        className="fixed inset-x-3 bottom-3 z-20 mx-auto max-w-xl rounded border-2 border-butter bg-flour p-5 shadow-xl print:hidden"
      >
        <div role="status">
          <p className="text-base text-quiet">
            {nth === 0
              ? say('firstSteps.welcome', { name: person.name })
              : say('firstSteps.nth', { nth: nth + 1, of: steps.length })}
          </p>
          <p className="mt-1 text-xl">{stepWords(say)[place]}</p>
        </div>
        <div className="mt-4 flex flex-wrap justify-end gap-3">
          {!isLast && (
            <Button floor onClick={onEnd}>
              {say('firstSteps.skip')}
            </Button>
          )}
          <Button floor look="act" onClick={() => (isLast ? onEnd() : setNth(nth + 1))}>
            {isLast ? say('firstSteps.begin') : say('firstSteps.next')}
          </Button>
        </div>
      </aside>
    </>
  );
}

/** A ring around what is spoken of. */
function Ring({ place }: { place: Guided }) {
  const box = useBox(place);
  if (!box) return null;
  return (
    <div
      aria-hidden
      className="pointer-events-none fixed z-10 rounded border-4 border-butter print:hidden"
      style={box}
    />
  );
}
