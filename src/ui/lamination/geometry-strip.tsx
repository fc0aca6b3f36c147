'use client';

import { useWords } from '../kit/words';
import { foldDrawing, lockInDrawing } from '@/core/lamination/drawing';
import type { BlockPlan } from '@/core/lamination/geometry';
import { BY_HAND, FOLD_WORDS, HOW_TO, LOCK_IN_WORDS } from '@/core/lamination/words';
import { showLength } from '@/core/units/reader';
import { Picture } from '../drawing/picture';
import { GapRow } from './gap-row';
import { useSizes } from './use-sizes';

/** Every stage of a block in a row: butter and dough, each turn before and after, the final sheet. */
export function GeometryStrip({ plan, blocks }: { plan: BlockPlan; blocks: number }) {
  const say = useWords();
  const { cm, slab, units } = useSizes();
  const { lockIn, open, turns, final } = plan;
  return (
    <section aria-labelledby="geometry-heading">
      <h2 id="geometry-heading" className="text-xl font-semibold">
        {say('schemes.theBlockEachOfBlocks', { blocks })}
      </h2>
      <ol className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(13.5rem,1fr))] gap-x-5 gap-y-4">
        {lockIn && (
          <li>
            <h3 className="font-semibold">
              {say('schemes.lockIn', { LOCKINWORDS: say.coded(LOCK_IN_WORDS[lockIn.style]) })}
            </h3>
            <Picture drawing={lockInDrawing(lockIn.style, lockIn)} id="lock-in" className="h-28" />
            <p className="text-[16px]">{say('schemes.butter', { slab: slab(lockIn.butter) })}</p>
            <p className="text-[16px]">
              {say('schemes.dough', {
                slab: slab(lockIn.dough),
                part:
                  lockIn.flapMm !== null
                    ? say('schemes.flaps', { length: showLength(lockIn.flapMm, units) })
                    : '',
              })}
            </p>
            <p className="text-[15px] text-quiet">{say('schemes.then', { slab: slab(lockIn.after) })}</p>
            <p className="text-[15px] text-quiet">{say.coded(HOW_TO[lockIn.style])}</p>
          </li>
        )}
        {open && (
          <li>
            <h3 className="font-semibold">{say('schemes.toBegin')}</h3>
            <p className="text-[16px]">{say('schemes.dough2', { slab: slab(open) })}</p>
          </li>
        )}
        {turns.map((turn) => (
          <li key={turn.nth}>
            <h3 className="font-semibold">
              {say('schemes.turn', { nth: turn.nth, FOLDWORDS: say.coded(FOLD_WORDS[turn.fold]) })}
            </h3>
            <Picture
              drawing={foldDrawing(turn.fold, turn.sheet, cm)}
              id={`turn-${turn.nth}`}
              className="h-28 w-full"
            />
            <p className="text-[15px] text-quiet">
              {say('schemes.fromOpenSideAhead', { slab: slab(turn.before) })}
            </p>
            <p className="text-[16px]">{say('schemes.rollTo', { slab: slab(turn.sheet) })}</p>
            <GapRow passes={turn.passes} />
            <p className="text-[15px] text-quiet">
              {say('schemes.foldedAQuarterTurnThen', { slab: slab(turn.after) })}
            </p>
            {turn.cutInto > 1 && (
              <p className="text-[15px] text-warn">
                {say('schemes.longerThanTheTableCut', { cutInto: turn.cutInto })}
              </p>
            )}
          </li>
        ))}
        <li>
          <h3 className="font-semibold">{say('schemes.finalSheet')}</h3>
          <p className="text-[16px]">{slab(final.sheet)}</p>
          <GapRow passes={final.passes} />
          {final.cutInto > 1 && (
            <p className="text-[15px] text-warn">
              {say('schemes.longerThanTheTableCut2', { cutInto: final.cutInto })}
            </p>
          )}
          <p className="text-[15px] text-quiet">
            {say('schemes.trimmedByNowDensityG', {
              value: Math.round((1 - plan.kept) * 1000) / 10,
              density: say.number(plan.density, 2),
            })}
          </p>
        </li>
        <li>
          <h3 className="font-semibold">{say('schemes.byHand')}</h3>
          <ul className="list-disc pl-5 text-[15px]">
            {BY_HAND.map((words) => (
              <li key={say.coded(words)}>{say.coded(words)}</li>
            ))}
          </ul>
        </li>
      </ol>
    </section>
  );
}
