import { coded, type Coded } from '../codes/coded';
import type { Allergen } from '../formula/ingredient';

/** When and where a filling goes. */
export const FILLING_MOMENTS = {
  spread: coded('shaping.spreadOnTheSheetBefore'),
  laid: coded('shaping.laidInBeforeShaping'),
  between: coded('shaping.betweenTwoSheets'),
  proofed: coded('shaping.depositedAfterProof'),
  baked: coded('shaping.pipedInAfterTheBake'),
} as const;
export type FillingMoment = keyof typeof FILLING_MOMENTS;

/** What goes into a piece. Weights in grams, lengths in cm. */
export interface Filling {
  /** Its formula's or its own name: "poppy filling". */
  name: string;
  /** Grams a piece; or, for a filling that is spread, grams a cm² of sheet. */
  grams: number;
  per: 'piece' | 'area';
  /** More than this a piece opens and leaks. */
  limit: number;
  /** Left bare around it to be sealed with water. */
  bareEdge: number;
  moment: FillingMoment;
  /** Where on the piece: "a strip 2 cm from the near edge". */
  where: string;
  /** What it brings that has to be declared. */
  allergens?: Allergen[];
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

/** One output's filling. */
export interface FillingNeed {
  filling: Filling;
  pieces: number;
  pieceArea: number;
  /** For whom: product and dough. */
  product: string;
  dough: string;
  /** When it is needed, ms since 1970. */
  at: number;
}

/** A filling in all, with what needs it, by name in the order in which it is first needed. */
export interface FillingTotal {
  name: string;
  grams: number;
  needs: (FillingNeed & { grams: number })[];
}

/** Totals of each filling over outputs. */
export function fillingTotals(needs: readonly FillingNeed[]): FillingTotal[] {
  const totals = new Map<string, FillingTotal>();
  for (const need of [...needs].sort((a, b) => a.at - b.at)) {
    const grams = fillingPerPiece(need.filling, need.pieceArea) * need.pieces;
    const total = totals.get(need.filling.name) ?? { name: need.filling.name, grams: 0, needs: [] };
    total.grams += grams;
    total.needs.push({ ...need, grams });
    totals.set(need.filling.name, total);
  }
  return [...totals.values()];
}
