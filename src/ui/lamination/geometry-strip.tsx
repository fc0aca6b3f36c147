'use client';

import { foldDrawing, lockInDrawing } from '@/core/lamination/drawing';
import type { Pass, Slab } from '@/core/lamination/gaps';
import type { BlockPlan } from '@/core/lamination/geometry';
import { BY_HAND, FOLD_WORDS, HOW_TO, LOCK_IN_WORDS } from '@/core/lamination/words';
import { rulerLength, rulerMark } from '@/core/units/length';
import { showLength } from '@/core/units/reader';
import { Picture } from '../drawing/picture';
import { useUnits } from '../live/units';

/** Sizes of slabs in this reader's units: "42 × 28 cm, 21 mm". */
export function useSizes() {
  const [units] = useUnits();
  const cm = (value: number) => rulerLength(value, units.length);
  return {
    units,
    cm,
    slab: ({ length, width, mm }: Slab) =>
      `${rulerMark(length, units.length)} × ${cm(width)}, ${showLength(Math.round(mm * 10) / 10, units)}`,
  };
}

/** The row of gap settings, with the length after each pass. */
export function GapRow({ passes, floor = false }: { passes: readonly Pass[]; floor?: boolean }) {
  const { units } = useSizes();
  if (passes.length === 0) return <p className="text-[15px] text-quiet">thin enough already</p>;
  return (
    <ol
      aria-label="Gaps of the sheeter"
      className={`flex flex-wrap gap-x-3 gap-y-1 ${floor ? 'text-xl' : 'text-[15px]'}`}
    >
      {passes.map(({ gap, length, turned }, i) => (
        <li key={i} className="whitespace-nowrap">
          {turned && <span className="text-quiet">turn 90°, </span>}
          <span className="font-semibold">{showLength(gap, units)}</span>
          <span className="text-quiet"> → {rulerLength(length, units.length)}</span>
        </li>
      ))}
    </ol>
  );
}

/** Every stage of a block in a row: butter and dough, each turn before and after, the final sheet. */
export function GeometryStrip({ plan, blocks }: { plan: BlockPlan; blocks: number }) {
  const { cm, slab, units } = useSizes();
  const { lockIn, open, turns, final } = plan;
  return (
    <section aria-labelledby="geometry-heading">
      <h2 id="geometry-heading" className="text-xl font-semibold">
        {blocks > 1 ? `Each of ${blocks} blocks` : 'The block'}, stage by stage
      </h2>
      <ol className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(13.5rem,1fr))] gap-x-5 gap-y-4">
        {lockIn && (
          <li>
            <h3 className="font-semibold">Lock-in: {LOCK_IN_WORDS[lockIn.style]}</h3>
            <Picture drawing={lockInDrawing(lockIn.style, lockIn)} id="lock-in" className="h-28" />
            <p className="text-[16px]">butter {slab(lockIn.butter)}</p>
            <p className="text-[16px]">
              dough {slab(lockIn.dough)}
              {lockIn.flapMm !== null && `, flaps ${showLength(lockIn.flapMm, units)}`}
            </p>
            <p className="text-[15px] text-quiet">then {slab(lockIn.after)}</p>
            <p className="text-[15px] text-quiet">{HOW_TO[lockIn.style]}</p>
          </li>
        )}
        {open && (
          <li>
            <h3 className="font-semibold">To begin</h3>
            <p className="text-[16px]">dough {slab(open)}</p>
          </li>
        )}
        {turns.map((turn) => (
          <li key={turn.nth}>
            <h3 className="font-semibold">
              Turn {turn.nth}: {FOLD_WORDS[turn.fold]}
            </h3>
            <Picture
              drawing={foldDrawing(turn.fold, turn.sheet, cm)}
              id={`turn-${turn.nth}`}
              className="h-28 w-full"
            />
            <p className="text-[15px] text-quiet">from {slab(turn.before)}, open side ahead</p>
            <p className="text-[16px]">roll to {slab(turn.sheet)}</p>
            <GapRow passes={turn.passes} />
            <p className="text-[15px] text-quiet">folded {slab(turn.after)}; a quarter turn, then the next</p>
            {turn.cutInto > 1 && (
              <p className="text-[15px] text-warn">
                Longer than the table: cut it in {turn.cutInto}, and fold each by itself.
              </p>
            )}
          </li>
        ))}
        <li>
          <h3 className="font-semibold">Final sheet</h3>
          <p className="text-[16px]">{slab(final.sheet)}</p>
          <GapRow passes={final.passes} />
          {final.cutInto > 1 && (
            <p className="text-[15px] text-warn">
              Longer than the table: cut the block in {final.cutInto} before the last passes.
            </p>
          )}
          <p className="text-[15px] text-quiet">
            {Math.round((1 - plan.kept) * 1000) / 10} % trimmed by now; density {plan.density.toFixed(2)}{' '}
            g/cm³
          </p>
        </li>
        <li>
          <h3 className="font-semibold">By hand</h3>
          <ul className="list-disc pl-5 text-[15px]">
            {BY_HAND.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </li>
      </ol>
    </section>
  );
}
