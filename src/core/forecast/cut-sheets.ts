import { arrange } from '../cutting/arrange';
import { sheetParts, type SheetParts } from '../cutting/dough-size';
import { sectionsLength } from '../cutting/sections';
import type { Pass, Slab } from '../lamination/gaps';
import { planBlockIfAny } from '../lamination/geometry';
import type { Fold } from '../lamination/stack';

import type { BlockWork } from '../process/block-work';
import { endsAsDough } from '../process/output-way';
import type { DoughRecord, OutputRecord } from '../record/dough';
import type { DoughState } from '../record/state';
import type { RollingHouse } from '../bakery/rolling';
import { foldsByScheme } from '../record/turns';

/** The final sheets of a dough, one of each block, and how each is parted and trimmed to be cut. */
export interface CutSheets extends SheetParts {
  blocks: number;
  /** Before it is trimmed, and the gaps on the way there. */
  rolled: Slab;
  passes: Pass[];
  /** g/cm³. */
  density: number;
}

/**
 * How a dough's blocks are rolled out and cut after these folds; null where they cannot be rolled, or all of it is kept as
 * dough.
 */
export function cutSheets(
  { scheme, weights, mm, wide, scrap, blocks, kept = 0 }: BlockWork,
  folds: readonly { fold: Fold; mm: number }[],
  rolling: Pick<RollingHouse, 'table' | 'laying' | 'benchLength'>,
): CutSheets | null {
  const plan = planBlockIfAny(scheme.scheme, weights, mm, { ...rolling, folds, wide });
  if (!plan || kept >= 1) return null;
  const rest = (slab: Slab): Slab => ({ ...slab, length: slab.length * (1 - kept) });
  const rolled = rest(plan.final.sheet);
  return {
    ...{ blocks, rolled, density: plan.density, ...sheetParts(rolled, scrap, rolling) },
    passes: plan.final.passes.map((pass) => ({ ...pass, length: pass.length * (1 - kept) })),
  };
}

/** A dough with what was recorded of it folded. */
type FoldedDough = Pick<DoughRecord, 'lamination' | 'steps'> & { state: DoughState };

/** The same of a dough on the floor, by the folds that it had and has still to get. */
export function sheetsOfDough(
  { lamination, steps, state }: FoldedDough,
  rolling: Pick<RollingHouse, 'table' | 'laying' | 'benchLength'>,
): CutSheets | null {
  if (!lamination) return null;
  const { given, toCome } = foldsByScheme({ steps, state }, lamination.scheme.scheme, 1);
  return cutSheets(lamination, [...given, ...toCome], rolling);
}

/** What a dough's sheets do not give of an output. */
export interface CutShort {
  output: OutputRecord;
  missing: number;
  /** The thinner sheet from which all would come, mm: lighter pieces. */
  thinner: number;
}

/** Regions that are looked at: a sheet that is too small is soon laid out. */
const BUDGET = 200;

/**
 * Pieces of a dough's outputs that its sheets, as they were really mixed and folded, do not give. None for a dough that
 * is divided, or that is cut already.
 */
export function cutShort(
  dough: FoldedDough,
  outputs: readonly OutputRecord[],
  rolling: Pick<RollingHouse, 'table' | 'laying' | 'benchLength'>,
): CutShort[] {
  const isCut = dough.steps.some(
    ({ key, step }) => step.kind === 'sheet' && dough.state.steps.get(key)?.status === 'done',
  );
  const sheets = isCut ? null : sheetsOfDough(dough, rolling);
  if (!sheets) return [];
  const { length, width, parts, blocks, rolled } = sheets;
  const cuts = outputs.flatMap((output) =>
    output.piece.cut && !endsAsDough(output.way)
      ? [{ output, size: output.piece.cut.size, pieces: output.pieces }]
      : [],
  );
  const each = cuts.map(({ size, pieces }) => ({ size, pieces: Math.ceil(pieces / (blocks * parts)) }));
  const needed = sectionsLength(width, each);
  if (needed !== null && needed <= length + 1e-9) return [];
  const wanted = each.map(({ size, pieces }) => ({ size, most: pieces }));
  const { counts } = arrange(length, width, wanted, BUDGET);
  const thinner = needed === null ? 0 : Math.floor(((rolled.mm * length) / needed) * 10) / 10;
  return cuts.flatMap(({ output, pieces }, i) => {
    const missing = pieces - (counts[i] ?? 0) * blocks * parts;
    return missing > 0 ? [{ output, missing, thinner }] : [];
  });
}
