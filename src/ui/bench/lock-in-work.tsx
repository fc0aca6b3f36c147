'use client';

import { useMemo, useState } from 'react';
import { lockInDrawing } from '@/core/lamination/drawing';
import { planBlockIfAny } from '@/core/lamination/geometry';
import { LOCK_IN_WORDS } from '@/core/lamination/words';
import type { BlockWork } from '@/core/process/block-work';
import type { RollingHouse } from '@/core/bakery/rolling';
import { showLength, showMass } from '@/core/units/reader';
import { Picture } from '../drawing/picture';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { FitPanel } from '../lamination/fit-panel';
import { useSizes } from '../lamination/geometry-strip';
import type { WorkProps } from './work-props';

/** Sizes of butter and dough for the lock-in of this dough's blocks, and what to do with a block of another size. */
export function LockInWork({ item, rolling }: WorkProps) {
  const { dough, step } = item;
  const [fitting, setFitting] = useState(false);
  const { units, slab } = useSizes();
  const work = dough.lamination;
  const plan = useMemo(
    () =>
      work &&
      planBlockIfAny(work.scheme.scheme, work.weights, work.mm, rolling.table, rolling.laying)?.lockIn,
    [work, rolling],
  );
  if (!work) return null;
  if (!plan) return <WithoutBlock work={work} rolling={rolling} />;
  const flour = work.scheme.scheme.flourInFat;
  const each = work.blocks > 1 ? `each of ${work.blocks} blocks: ` : '';
  return (
    <div className="grid w-full items-start gap-x-5 gap-y-2 sm:grid-cols-[9rem_1fr]">
      <Picture drawing={lockInDrawing(plan.style, plan)} id="lock-in" className="w-full" />
      <div className="grid gap-0.5 text-lg">
        <p className="text-xl font-semibold">
          {each}butter {slab(plan.butter)}
        </p>
        <p>
          {showMass(work.weights.fat, units)}
          {flour > 0 && `, creamed with ${showMass(work.weights.fat * flour, units)} of flour`}
        </p>
        {step.step.kind === 'lock-in' && (
          <>
            <p className="text-xl font-semibold">dough {slab(plan.dough)}</p>
            <p>
              {LOCK_IN_WORDS[plan.style]}; then {slab(plan.after)}
            </p>
          </>
        )}
        <Button floor className="mt-1 justify-self-start" onClick={() => setFitting(true)}>
          Block of another size?
        </Button>
      </div>
      <Sheet open={fitting} onOpenChange={setFitting} title={`Block of ${dough.name}`}>
        <FitPanel plan={plan} laying={rolling.laying} flour={flour} />
      </Sheet>
    </div>
  );
}

/** Butter that is no block: how much on each disc or open sheet, and what a disc weighs and measures. */
function WithoutBlock({ work, rolling }: { work: BlockWork; rolling: RollingHouse }) {
  const { units, cm } = useSizes();
  const { beginning } = work.scheme.scheme;
  const mass = (grams: number) => showMass(grams, units);
  const each = work.blocks > 1 ? `each of ${work.blocks} blocks: ` : '';
  if (beginning.way === 'discs') {
    const open = planBlockIfAny(
      work.scheme.scheme,
      work.weights,
      work.mm,
      rolling.table,
      rolling.laying,
    )?.open;
    return (
      <p className="text-xl">
        <span className="font-semibold">
          {each}
          {beginning.discs} discs of {mass(work.weights.dough / beginning.discs)}
        </span>
        {open && `, ${cm(acrossOf(open))} across at ${showLength(open.mm, units)}`};{' '}
        {mass(work.weights.fat / (beginning.discs - 1))} of butter between each two, none on the last
      </p>
    );
  }
  if (!('additions' in beginning)) return null;
  return (
    <p className="text-xl">
      <span className="font-semibold">
        {each}butter {mass(work.weights.fat)}
      </span>
      {beginning.additions > 1 &&
        `, in ${beginning.additions} parts of ${mass(work.weights.fat / beginning.additions)}`}
    </p>
  );
}

/** A round of the same area as a square, cm across. */
const acrossOf = ({ length, width }: { length: number; width: number }) =>
  2 * Math.sqrt((length * width) / Math.PI);
