'use client';

import { useWords } from '../kit/words';
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
import { useSizes } from '../lamination/use-sizes';
import { Weighed } from '../lamination/weighed';
import type { WorkProps } from './work-props';

/** Sizes of butter and dough for the lock-in of this dough's blocks, and what to do with a block of another size. */
export function LockInWork({ item, rolling }: WorkProps) {
  const say = useWords();
  const { dough, step } = item;
  const [fitting, setFitting] = useState(false);
  const { units, slab } = useSizes();
  const work = dough.lamination;
  const plan = useMemo(
    () => work && planBlockIfAny(work.scheme.scheme, work.weights, work.mm, rolling)?.lockIn,
    [work, rolling],
  );
  if (!work) return null;
  if (!plan) return <WithoutBlock work={work} rolling={rolling} />;
  const flour = work.scheme.scheme.flourInFat;
  const each = say('bench.eachOfBlocks', { blocks: work.blocks });
  return (
    <div className="grid w-full items-start gap-x-5 gap-y-2 sm:grid-cols-[9rem_1fr]">
      <Picture drawing={lockInDrawing(plan.style, plan)} id="lock-in" className="w-full" />
      <div className="grid gap-0.5 text-lg">
        <p className="text-xl font-semibold">{say('bench.butter', { each, slab: slab(plan.butter) })}</p>
        <p>
          {say('bench.massPart', {
            mass: showMass(work.weights.fat, units),
            part:
              flour > 0
                ? say('bench.creamedWithOfFlour', { mass: showMass(work.weights.fat * flour, units) })
                : '',
          })}
        </p>
        {step.step.kind === 'lock-in' && (
          <>
            <p className="text-xl font-semibold">{say('bench.dough', { slab: slab(plan.dough) })}</p>
            <p>
              {say('bench.then', {
                LOCKINWORDS: say.coded(LOCK_IN_WORDS[plan.style]),
                slab: slab(plan.after),
              })}
            </p>
          </>
        )}
        <Button floor className="mt-1 justify-self-start" onClick={() => setFitting(true)}>
          {say('bench.blockOfAnotherSize')}
        </Button>
      </div>
      <Sheet open={fitting} onOpenChange={setFitting} title={say('bench.blockOf', { name: dough.name })}>
        <FitPanel plan={plan} laying={rolling.laying} flour={flour} />
      </Sheet>
    </div>
  );
}

/** Butter that is no block: how much on each disc or open sheet, and what a disc weighs and measures. */
function WithoutBlock({ work, rolling }: { work: BlockWork; rolling: RollingHouse }) {
  const say = useWords();
  const { units, cm } = useSizes();
  const { beginning } = work.scheme.scheme;
  const mass = (grams: number) => showMass(grams, units);
  const each = say('bench.eachOfBlocks', { blocks: work.blocks });
  if (beginning.way === 'discs') {
    const open = planBlockIfAny(work.scheme.scheme, work.weights, work.mm, rolling)?.open;
    return (
      <div className="grid w-full gap-3">
        <p className="text-xl">
          {say.rich('bench.discsOfButterBetweenEach', {
            span: (words) => <span className="font-semibold">{words}</span>,
            each,
            discs: beginning.discs,
            mass: mass(work.weights.dough / beginning.discs),
            part: open
              ? say('bench.acrossAt', { cm: cm(acrossOf(open)), length: showLength(open.mm, units) })
              : '',
            mass2: mass(work.weights.fat / (beginning.discs - 1)),
          })}
        </p>
        <div className="grid gap-3 sm:grid-cols-2">
          <Weighed
            label={say('bench.oneDiscWeighs')}
            of="dough"
            asked={work.weights.dough / beginning.discs}
          />
          <Weighed
            label={say('bench.butterBetweenTwo')}
            of="butter"
            asked={work.weights.fat / (beginning.discs - 1)}
          />
        </div>
      </div>
    );
  }
  if (!('additions' in beginning)) return null;
  return (
    <div className="grid w-full gap-3">
      <p className="text-xl">
        {say.rich('bench.butter2', {
          span: (words) => <span className="font-semibold">{words}</span>,
          each,
          mass: mass(work.weights.fat),
          part:
            beginning.additions > 1
              ? say('bench.inPartsOf', {
                  additions: beginning.additions,
                  mass: mass(work.weights.fat / beginning.additions),
                })
              : '',
        })}
      </p>
      <Weighed label={say('bench.butterWeighs')} of="butter" asked={work.weights.fat / beginning.additions} />
    </div>
  );
}

/** A round of the same area as a square, cm across. */
const acrossOf = ({ length, width }: { length: number; width: number }) =>
  2 * Math.sqrt((length * width) / Math.PI);
