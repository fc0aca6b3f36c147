'use client';

import { useWords } from '../kit/words';
import type { Laying, LockInPlan } from '@/core/lamination/geometry';
import { butterGrams } from '@/core/lamination/geometry';
import { fitBlock } from '@/core/lamination/lock-in';
import { FAT_DENSITY, fatDensity } from '@/core/lamination/stack';
import { rulerLength } from '@/core/units/length';
import { showMass } from '@/core/units/reader';
import { Field } from '../kit/field';
import { measure } from '@/core/units/measure';
import { unless, useTyped, wants } from '../workbench/use-typed';
import { fitWords } from './fit-words';
import { Weighed } from './weighed';

/** A block that was made, against the dough that is there: does it fit, by how much not, and what to do. */
export function FitPanel({ plan, laying, flour }: { plan: LockInPlan; laying: Laying; flour: number }) {
  const say = useWords();
  const { butter, dough, style } = plan;
  const whole = (cm: number) => measure('cm', Math.round(cm * 2) / 2);
  const { read, field, units } = useTyped({
    ...{
      butterLength: whole(butter.length),
      butterWidth: whole(butter.width),
      butterMm: measure('mm', butter.mm),
    },
    ...{ doughLength: whole(dough.length), doughWidth: whole(dough.width) },
  });
  const [length, width, mm] = [read.cm('butterLength'), read.cm('butterWidth'), read.mm('butterMm')];
  const [doughLength, doughWidth] = [read.cm('doughLength'), read.cm('doughWidth')];
  const all = [length, width, mm, doughLength, doughWidth];
  const fault = all.some(Number.isNaN)
    ? null
    : all.some((value) => value <= 0)
      ? say('lamination.lengthsAndThicknessAreMore')
      : mm / 10 > Math.min(length, width)
        ? say('lamination.thisBlockIsThickerThan')
        : '';
  const volume = dough.length * dough.width * dough.mm;
  const fit =
    fault === ''
      ? fitBlock(
          style,
          { size: [length, width], mm },
          { size: [doughLength, doughWidth], mm: volume / (doughLength * doughWidth) },
          { ...laying, density: fatDensity(flour) || FAT_DENSITY },
        )
      : null;
  return (
    <section aria-labelledby="fit-heading" className="grid content-start gap-2">
      <h2 id="fit-heading" className="text-xl font-semibold">
        {say('lamination.doesTheBlockThatWas')}
      </h2>
      <div className="grid grid-cols-5 gap-2">
        <Field
          label={say('lamination.butterLong')}
          {...field('butterLength')}
          trouble={unless(length, wants(say, 'cm'))}
        />
        <Field
          label={say('lamination.butterWide')}
          {...field('butterWidth')}
          trouble={unless(width, wants(say, 'cm'))}
        />
        <Field
          label={say('lamination.butterThick')}
          {...field('butterMm')}
          trouble={unless(mm, wants(say, 'mm'))}
        />
        <Field
          label={say('lamination.doughLong')}
          {...field('doughLength')}
          trouble={unless(doughLength, wants(say, 'cm'))}
        />
        <Field
          label={say('lamination.doughWide')}
          {...field('doughWidth')}
          trouble={unless(doughWidth, wants(say, 'cm'))}
        />
      </div>
      <Weighed
        label={say('lamination.butterWeighs')}
        of="butter"
        asked={butterGrams(butter, flour)}
        bySize={fault === '' ? butterGrams({ length, width, mm }, flour) : null}
      />
      {fit && (
        <div role="status" className="border-l-4 border-butter pl-3 text-[17px]">
          {fitWords(say, fit, units).map((words, i) => (
            <p key={words} className={i === 0 ? 'text-xl font-semibold' : undefined}>
              {words}
            </p>
          ))}
          <p className="text-quiet">
            {say('lamination.askedForBySuchA', {
              rulerLength: rulerLength(fit.needed[0], units),
              rulerLength2: rulerLength(fit.needed[1], units),
              mass: showMass(butterGrams({ length, width, mm }, flour), units),
            })}
          </p>
        </div>
      )}
      {fault && (
        <p role="alert" className="text-warn">
          {fault}
        </p>
      )}
    </section>
  );
}
