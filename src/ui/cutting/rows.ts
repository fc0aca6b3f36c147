import type { Say } from '@/words/say';
import { pieceFault, SHAPE_WORDS, type PieceShape, type PieceSize } from '@/core/cutting/piece';
import type { Arrangement, Wanted } from '@/core/cutting/arrange';
import { parseMillimetres } from '@/core/units/length';
import { parseNumber } from '@/core/units/number';
import { measure, showMeasure } from '@/core/units/measure';
import type { ReaderUnits } from '@/core/units/reader';
import { typedGrams } from '@/core/units/typed-grams';
import { coded } from '@/core/codes/coded';

/** One kind of piece as it is typed. */
export interface CutRow {
  name: string;
  shape: PieceShape;
  base: string;
  height: string;
  sectors: string;
  /** Pieces from one sheet; empty for as many as fit. */
  most: string;
  /** What a piece should weigh; empty where nobody minds. */
  target: string;
  /** Pieces a tray takes with room to double; empty where that is not known. */
  perTray: string;
}

export interface ReadCut {
  wanted: Wanted;
  target: number | null;
  perTray: number | null;
}

/** A row for a piece that is known, in this reader's units. */
export function rowOf(
  name: string,
  size: PieceSize,
  { most, target, perTray }: { most: number | null; target: number | null; perTray: number | null },
  units: ReaderUnits,
): CutRow {
  const or = (value: number | null) => (value === null ? '' : String(value));
  const cm = (value: number) => showMeasure(measure('cm', value), units);
  return {
    ...{ name, shape: size.shape, base: cm(size.base) },
    height: size.height > 0 ? cm(size.height) : '',
    ...{ sectors: String(size.sectors ?? 8), most: or(most), perTray: or(perTray) },
    target: target === null ? '' : showMeasure(measure('grams', target), units),
  };
}

/** Reads a row; a sentence where it cannot be cut. */
export function readRow(say: Say, row: CutRow, units: ReaderUnits): ReadCut | string {
  const words = SHAPE_WORDS[row.shape];
  const cm = (text: string) => (parseMillimetres(text, units.length) ?? NaN) / 10;
  const base = cm(row.base);
  if (Number.isNaN(base)) return say('cutting.theIsALengthSuch', { base: say.coded(words.base) });
  const height = words.height ? cm(row.height) : 0;
  if (Number.isNaN(height))
    return say('cutPlan.theIsALengthSuch2', {
      height: say.coded(words.height ?? coded('cutting.height')),
    });
  const sectors = row.shape === 'sector' ? (parseNumber(row.sectors) ?? NaN) : undefined;
  const size: PieceSize = { shape: row.shape, base, height, ...(sectors === undefined ? {} : { sectors }) };
  const fault = pieceFault(size);
  if (fault) return say.coded(fault);
  const most = count(row.most);
  if (most === 'none') return say('cutPlan.piecesAreAWholeNumber');
  const perTray = count(row.perTray);
  if (perTray === 'none') return say('cutPlan.piecesATrayAreWhole');
  const target = grams(row.target, units);
  if (target === 'none') return say('cutPlan.aPieceSWeightIs');
  return { wanted: { size, most }, target, perTray };
}

function count(text: string): number | null | 'none' {
  if (text.trim() === '') return null;
  const value = parseNumber(text);
  return value !== null && Number.isInteger(value) && value >= 1 && value <= 5000 ? value : 'none';
}

function grams(text: string, units: Pick<ReaderUnits, 'kitchen' | 'mass'>): number | null | 'none' {
  if (text.trim() === '') return null;
  const weight = typedGrams(text, units);
  return weight !== null && weight > 0 ? weight : 'none';
}

/** A sheet that no piece fits, in a sentence; null where one does. */
export function tooLarge(
  say: Say,
  wanted: readonly Wanted[],
  { counts, round }: Pick<Arrangement, 'counts' | 'round'>,
  names: readonly string[],
): string[] {
  return wanted.flatMap(({ size, most }, i) =>
    (counts[i] ?? 0) === 0 && most !== 0
      ? [
          round && size.shape !== 'sector'
            ? say('cutPlan.aRoundSheetIsCut', { names: names[i] || say.coded(SHAPE_WORDS[size.shape].label) })
            : say('cutPlan.noOfComeFromThis', {
                label: say.coded(SHAPE_WORDS[size.shape].label),
                names: names[i] || say('cutPlan.thisSize'),
              }),
        ]
      : [],
  );
}
