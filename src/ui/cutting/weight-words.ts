import type { WeightAdvice } from '@/core/cutting/solve';
import { CUTTABLE } from '@/core/cutting/solve';
import type { ThicknessAdvice } from '@/core/cutting/thickness';
import { rulerLength } from '@/core/units/length';
import { showLength, showMass, type ReaderUnits } from '@/core/units/reader';

/** What to do for a piece's weight at a sheet's thickness, in this reader's units. */
export function weightWords({ off, rollTo, fits, outOfReach }: WeightAdvice, units: ReaderUnits): string {
  const mm = (value: number) => showLength(value, units);
  if (outOfReach)
    return `That weight takes a sheet of ${mm(rollTo)}; ${mm(CUTTABLE.least)} to ${mm(CUTTABLE.most)} can be cut. Change its size.`;
  if (fits) return 'as wanted';
  return `${showMass(Math.abs(off), units)} too ${off > 0 ? 'heavy' : 'light'}: roll it to ${mm(rollTo)}`;
}

/** What weighed pieces say of a sheet that was rolled to `rolled` mm, in this reader's units. */
export function thicknessWords(
  { off, verdict, real, next, base }: ThicknessAdvice,
  rolled: number,
  units: ReaderUnits,
): string {
  if (verdict === 'within') return 'Within the tolerance: the sheet is as thick as it should be.';
  const by = `${showMass(Math.abs(off), units)} too ${off > 0 ? 'heavy' : 'light'}`;
  const rest = `cut the rest ${rulerLength(base, units.length)} wide`;
  if (verdict === 'size')
    return `${by}, and the sheet is as thick as it should be: ${rest}, or roll the next to ${showLength(next, units)}.`;
  const sheet = `the sheet is about ${showLength(real, units)}, not ${showLength(rolled, units)}`;
  return verdict === 'heavy'
    ? `${by}: ${sheet}. Roll it thinner, or ${rest}; roll the next to ${showLength(next, units)}.`
    : `${by}: ${sheet}. It cannot be made thicker: ${rest}; roll the next to ${showLength(next, units)}.`;
}
