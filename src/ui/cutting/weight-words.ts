import type { Say } from '@/words/say';
import type { WeightAdvice } from '@/core/cutting/solve';
import { CUTTABLE } from '@/core/cutting/solve';
import type { ThicknessAdvice } from '@/core/cutting/thickness';
import { rulerLength } from '@/core/units/length';
import { showLength, showMass, type ReaderUnits } from '@/core/units/reader';

/** What to do for a piece's weight at a sheet's thickness, in this reader's units. */
export function weightWords(
  say: Say,
  { off, rollTo, fits, outOfReach }: WeightAdvice,
  units: ReaderUnits,
): string {
  const mm = (value: number) => showLength(value, units);
  if (outOfReach)
    return say('cutting.thatWeightTakesASheet', {
      mm: mm(rollTo),
      mm2: mm(CUTTABLE.least),
      mm3: mm(CUTTABLE.most),
    });
  if (fits) return say('cutting.asWanted');
  return say('cutting.tooHeavyLightRollIt', {
    mass: showMass(Math.abs(off), units),
    isOff: off > 0,
    mm: mm(rollTo),
  });
}

/** What weighed pieces say of a sheet that was rolled to `rolled` mm, in this reader's units. */
export function thicknessWords(
  say: Say,
  { off, verdict, real, next, base }: ThicknessAdvice,
  rolled: number,
  units: ReaderUnits,
): string {
  if (verdict === 'within') return say('cutting.withinTheToleranceSheetIs');
  const by = say('cutting.tooHeavyLight', { mass: showMass(Math.abs(off), units), isOff: off > 0 });
  const rest = say('cutting.cutTheRestWide', { rulerLength: rulerLength(base, units) });
  if (verdict === 'size')
    return say('cutting.andTheSheetIsAs', { by, rest, length: showLength(next, units) });
  const sheet = say('cutting.theSheetIsAboutNot', {
    length: showLength(real, units),
    length2: showLength(rolled, units),
  });
  return verdict === 'heavy'
    ? say('cutting.rollItThinnerOrRoll', { by, sheet, rest, length: showLength(next, units) })
    : say('cutting.itCannotBeMadeThicker', { by, sheet, rest, length: showLength(next, units) });
}
