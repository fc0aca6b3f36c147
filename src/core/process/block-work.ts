import type { FatKind } from '../lamination/butter-window';
import type { Weights } from '../lamination/scheme';
import type { SchemeVersion } from './route';

/** What a dough is laminated by: its scheme, how many blocks it lies in, and what one of them weighs. */
export interface BlockWork {
  scheme: SchemeVersion;
  blocks: number;
  /** Of one block, grams. */
  weights: Weights;
  /** The final sheet: how thick, mm, and how wide, cm; null where nobody knows what is cut from it. */
  mm: number;
  wide: number | null;
  /** What is rolled in. */
  fat: FatKind;
  /** Share of a final sheet that its uneven ends take. */
  scrap: number;
  /** Share of each block, 0 to 1, that is cut off behind the last fold and kept as dough; left out where none is. */
  kept?: number;
}
