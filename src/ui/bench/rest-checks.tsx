'use client';

import { useMemo } from 'react';
import type { HandCheck } from '@/core/record/events';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { useUnits } from '../live/units';
import { blockLines, butterLines, type Rest } from './rest-lines';
import { restCheckButtons } from './rest-words';

interface Props extends Omit<Rest, 'units'> {
  onTell: (check: HandCheck) => void;
}

/** What a resting block or tempering butter is like inside by now, and the check by hand that settles it. */
export default function RestChecks({ item, now, zone, places, rooms, onTell }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const isButter = item.step.step.kind === 'temper';
  const { lines, soft } = useMemo(() => {
    const rest = { item, now, zone, places, rooms, units };
    return isButter ? butterLines(say, rest) : blockLines(say, rest);
  }, [say, isButter, item, now, zone, places, rooms, units]);
  return (
    <div className="my-3 grid gap-2">
      {lines.map((line) => (
        <p key={line} className="text-xl">
          {line}
        </p>
      ))}
      <fieldset>
        <legend className="mb-2 text-xl font-semibold">
          {isButter ? say('bench.bendIt') : say('bench.pressIt')}
        </legend>
        <div className="grid gap-3 sm:grid-cols-3">
          {restCheckButtons(say, isButter, soft).map(({ word, then, data }) => (
            <Button key={word} floor className="py-2" onClick={() => onTell(data)}>
              <span className="block text-2xl font-bold">{word}</span>
              <span className="block text-base text-quiet">{then}</span>
            </Button>
          ))}
        </div>
      </fieldset>
    </div>
  );
}
