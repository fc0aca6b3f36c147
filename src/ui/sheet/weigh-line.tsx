'use client';

import { Check } from 'lucide-react';
import type { StageKind } from '@/core/formula/formula';
import type { ScaledLine } from '@/core/formula/scale';
import type { MixChange } from '@/core/formula/actual';
import { showMass } from '@/core/units/reader';
import { stageName } from '@/words/code-names';
import { useWords } from '../kit/words';
import { useUnits } from '../live/units';

/** A line of the bowl, with its stage and where it is in the formula. */
export type BowlLine = ScaledLine & { kind: StageKind; s: number; l: number };

interface Props {
  line: BowlLine;
  isFirst: boolean;
  weighed: MixChange | undefined;
  name: string;
  bowl: number;
  onOpen: () => void;
  onWeigh: (grams: number) => void;
}

/** One ingredient of the bowl: its weight, and a box to tick it off. */
export function WeighLine({ line, isFirst, weighed, name, bowl, onOpen, onWeigh }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const grams = weighed?.kind === 'weighed' ? weighed.grams : line.grams;
  return (
    <li>
      {isFirst && <p className="mt-3 text-lg text-quiet">{stageName(say, line.kind)}</p>}
      <div className="flex items-stretch gap-3 border-b border-hairline">
        <button
          className="flex min-h-16 flex-1 items-center justify-between gap-3 text-left"
          onClick={onOpen}
        >
          <span className={weighed ? 'text-quiet' : ''}>
            <span className="block text-2xl font-semibold">{say.named(name)}</span>
            {line.note && <span className="text-lg text-quiet">{say.named(line.note)}</span>}
          </span>
          <span className={weighed ? 'text-3xl text-quiet' : 'text-3xl font-bold'}>
            {say.rich('sheet.toTaste', {
              isUncounted: line.uncounted,
              mass: showMass(grams, units),
              upTo: () =>
                line.upTo !== undefined &&
                !weighed && (
                  <span className="block text-right text-lg font-normal text-quiet">
                    {say('sheet.keepMoreReady', { mass: showMass(line.upTo - line.grams, units) })}
                  </span>
                ),
            })}
          </span>
        </button>
        <button
          aria-label={say('sheet.weighedBowl', { name, bowl })}
          aria-pressed={weighed !== undefined}
          className="my-1 grid w-16 shrink-0 place-items-center rounded border border-edge"
          // What was weighed differently is not overwritten by a second tap: it is looked at.
          onClick={() => (weighed ? onOpen() : onWeigh(line.grams))}
        >
          {weighed && <Check aria-hidden size={30} />}
        </button>
      </div>
    </li>
  );
}
