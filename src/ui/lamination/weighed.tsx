'use client';

import { weightGap } from '@/core/lamination/weighed';
import { showMass } from '@/core/units/reader';
import { Field } from '../kit/field';
import { useWords } from '../kit/words';
import { useUnits } from '../live/units';
import { unless, useTyped, wants } from '../workbench/use-typed';

interface Props {
  label: string;
  of: 'butter' | 'dough';
  /** Grams that it should weigh. */
  asked: number;
  /** Grams by its size, where that is known and nothing was weighed; else null. */
  bySize?: number | null;
}

/** What a block or a disc weighs, against what it should: by how much too heavy or too light, and what to do. */
export function Weighed({ label, of, asked, bySize = null }: Props) {
  const say = useWords();
  const { read, field, typed } = useTyped({ weight: '' });
  const isTyped = typed.weight.trim() !== '';
  const weight = read.grams('weight');
  const grams = isTyped ? weight : bySize;
  return (
    <div className="grid gap-1">
      <Field
        {...{ label }}
        {...field('weight')}
        trouble={isTyped ? (weight <= 0 ? wants(say, 'grams') : unless(weight, wants(say, 'grams'))) : null}
      />
      {grams !== null && grams > 0 && <GapWords {...{ grams, asked, of }} />}
    </div>
  );
}

function GapWords({ grams, asked, of }: { grams: number; asked: number; of: 'butter' | 'dough' }) {
  const say = useWords();
  const [units] = useUnits();
  const gap = weightGap(grams, asked);
  const mass = (value: number) => showMass(Math.abs(value), units);
  return (
    <p
      aria-live="polite"
      className={gap.isClose ? 'text-quiet' : 'border-l-4 border-warn pl-3 font-semibold'}
    >
      {gap.isClose
        ? say('lamination.weightIsRight', { mass: mass(grams), asked: mass(asked) })
        : say('lamination.weightIsOff', {
            ...{ of, mass: mass(grams), asked: mass(asked), off: mass(gap.grams) },
            percent: Math.round(Math.abs(gap.share) * 100),
            isOver: gap.grams > 0,
          })}
    </p>
  );
}
