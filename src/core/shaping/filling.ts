import { coded, type Coded } from '../codes/coded';
import type { DressingPart } from './part';

/** When and where a filling goes. */
export const FILLING_MOMENTS = {
  overlaid: coded('shaping.laidOverTheSheet'),
  spread: coded('shaping.spreadOnTheSheetBefore'),
  laid: coded('shaping.laidInBeforeShaping'),
  between: coded('shaping.betweenTwoSheets'),
  proofed: coded('shaping.depositedAfterProof'),
  baked: coded('shaping.pipedInAfterTheBake'),
} as const;
export type FillingMoment = keyof typeof FILLING_MOMENTS;

/** What goes into a piece, or a second dough that is laid over its sheet. Weights in grams, lengths in cm. */
export interface Filling extends DressingPart {
  /** Grams a piece; or, for a filling that is spread, grams a cm² of sheet. */
  grams: number;
  per: 'piece' | 'area';
  /** More than this a piece opens and leaks. */
  limit: number;
  /** Left bare around it to be sealed with water. */
  bareEdge: number;
  moment: FillingMoment;
  where: string;
}

/** Grams of filling in one piece of this area, cm². The bare edge counts along one side of a square of that area. */
export function fillingPerPiece({ grams, per, bareEdge }: Filling, pieceArea: number): number {
  if (per === 'piece') return grams;
  const side = Math.sqrt(pieceArea);
  return grams * side * Math.max(0, side - bareEdge);
}

/** That a piece would be overfull; null where it is not. */
export function overfull(filling: Filling, pieceArea: number): Coded | null {
  const grams = fillingPerPiece(filling, pieceArea);
  return grams > filling.limit + 1e-9
    ? coded('shaping.gOfAPieceAbove', { grams: Math.round(grams), name: filling.name, limit: filling.limit })
    : null;
}
