'use client';

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

/** A block that was made, against the dough that is there: does it fit, by how much not, and what to do. */
export function FitPanel({ plan, laying, flour }: { plan: LockInPlan; laying: Laying; flour: number }) {
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
      ? 'Lengths and thickness are more than nothing.'
      : mm / 10 > Math.min(length, width)
        ? 'This block is thicker than it is long: lay it flat.'
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
        Does the block that was made fit?
      </h2>
      <div className="grid grid-cols-5 gap-2">
        <Field label="butter long" {...field('butterLength')} trouble={unless(length, wants('cm'))} />
        <Field label="butter wide" {...field('butterWidth')} trouble={unless(width, wants('cm'))} />
        <Field label="butter thick" {...field('butterMm')} trouble={unless(mm, wants('mm'))} />
        <Field label="dough long" {...field('doughLength')} trouble={unless(doughLength, wants('cm'))} />
        <Field label="dough wide" {...field('doughWidth')} trouble={unless(doughWidth, wants('cm'))} />
      </div>
      {fit && (
        <div role="status" className="border-l-4 border-butter pl-3 text-[17px]">
          {fitWords(fit, units).map((words, i) => (
            <p key={words} className={i === 0 ? 'text-xl font-semibold' : undefined}>
              {words}
            </p>
          ))}
          <p className="text-quiet">
            Asked for: {rulerLength(fit.needed[0], units.length)} by{' '}
            {rulerLength(fit.needed[1], units.length)}. Such a block is{' '}
            {showMass(butterGrams({ length, width, mm }, flour), units)} of butter.
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
