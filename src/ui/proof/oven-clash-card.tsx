'use client';

import type { OvenClash, ClashWay } from '@/core/shopfloor/oven-clashes';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';

/** Two loads that meet at the oven, and what can be done about it. */
export function OvenClashCard({
  clash: { message, tooLong, ways },
  onCooler,
}: {
  clash: OvenClash;
  onCooler: (way: Extract<ClashWay, { kind: 'cooler' }>) => void;
}) {
  const say = useWords();
  return (
    <div className="grid gap-1 py-1">
      <p className={tooLong ? 'text-xl font-bold text-warn' : 'text-xl'}>{say.coded(message)}</p>
      <ul className="grid gap-1 text-lg">
        {ways.map((way) => (
          <li key={way.kind}>
            {way.kind === 'cooler' ? (
              <Button floor onClick={() => onCooler(way)}>
                {say.coded(way.words)}
              </Button>
            ) : (
              say.coded(way.words)
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
