'use client';

import type { Pass } from '@/core/lamination/gaps';
import { rulerLength } from '@/core/units/length';
import { showLength } from '@/core/units/reader';
import { useWords } from '../kit/words';
import { useSizes } from './use-sizes';

/** The row of gap settings, with the length after each pass. */
export function GapRow({ passes, floor = false }: { passes: readonly Pass[]; floor?: boolean }) {
  const say = useWords();
  const { units } = useSizes();
  if (passes.length === 0)
    return <p className="text-[15px] text-quiet">{say('lamination.thinEnoughAlready')}</p>;
  return (
    <ol
      aria-label={say('lamination.gapsOfTheSheeter')}
      className={`flex flex-wrap gap-x-3 gap-y-1 ${floor ? 'text-xl' : 'text-[15px]'}`}
    >
      {passes.map(({ gap, length, turned }, i) => (
        <li key={i} className="whitespace-nowrap">
          {turned && <span className="text-quiet">{say('lamination.turn90')}</span>}
          <span className="font-semibold">{showLength(gap, units)}</span>
          <span className="text-quiet"> → {rulerLength(length, units)}</span>
        </li>
      ))}
    </ol>
  );
}
