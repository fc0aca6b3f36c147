'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { PieceWeight } from '@/core/record/events';
import { parseNumber } from '@/core/units/number';
import { showMass } from '@/core/units/reader';
import { typedGrams } from '@/core/units/typed-grams';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useUnits } from '../live/units';

/** Pieces put on the scale together: how many, and what they weigh, typed or from the scale. */
export function WeighIn({
  grams: one,
  scale,
  onWeigh,
}: {
  /** What a piece should weigh, g. */
  grams: number;
  /** What the scale shows, g. */
  scale: number | null;
  onWeigh: (weighed: PieceWeight) => void;
}) {
  const say = useWords();
  const [units] = useUnits();
  const [count, setCount] = useState('1');
  const [grams, setGrams] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const put = (weight: number | null) => {
    const pieces = parseNumber(count);
    if (pieces === null || !Number.isInteger(pieces) || pieces < 1)
      return setTrouble(say('common.howManyPiecesLieOn'));
    if (weight === null || weight <= 0) return setTrouble(say('bench.typeAWeightSuchAs'));
    setTrouble(null);
    setGrams('');
    onWeigh({ kind: 'pieces', count: pieces, grams: Math.round(weight * 10) / 10 });
  };
  return (
    <>
      <form
        className="grid grid-cols-[6rem_1fr_auto] items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          put(typedGrams(grams, units));
        }}
      >
        <Field label={say('bench.pieces')} size="floor" inputMode="numeric" value={count} onType={setCount} />
        <Field
          label={say('bench.weighTogether')}
          size="floor"
          value={grams}
          placeholder={`${one} g`}
          onType={setGrams}
        />
        <Button type="submit" floor>
          {say('bench.weighIn')}
        </Button>
      </form>
      {scale !== null && (
        <Button floor className="justify-self-start" onClick={() => put(scale)}>
          {say('common.fromTheScale', { mass: showMass(scale, units) })}
        </Button>
      )}
      {trouble && (
        <p role="alert" className="text-lg text-warn">
          {trouble}
        </p>
      )}
    </>
  );
}
