import type { Coded } from '../codes/coded';
import type { Instant } from '../time/local';
import { dressingParts, FILLED_AT, TOPPING_MOMENTS, WASH_MOMENTS } from './dressing';
import type { Dressing, DressedAt } from './dressing';
import { FILLING_MOMENTS, fillingPerPiece, overfull } from './filling';
import type { DressingPart } from './part';

/** What one part of a dressing asks for a piece. */
export interface PartOfPiece {
  part: DressingPart;
  /** Grams a piece. */
  grams: number;
  moment: Coded;
  /** The step before which it must be there. */
  by: DressedAt;
  /** That it is more than the piece holds. */
  overfull: Coded | null;
}

/**
 * What a piece needs of its fillings, washes and toppings; what nobody weighs is left out.
 *
 * @param pieceArea - what it is cut to, cm²; 0 for one that is divided
 */
export function partsOfPiece(dressing: Dressing, pieceArea: number): PartOfPiece[] {
  const { fillings = [], washes = [], toppings = [] } = dressing;
  return [
    ...fillings.map((part) => ({
      ...{ part, grams: fillingPerPiece(part, pieceArea), moment: FILLING_MOMENTS[part.moment] },
      ...{ by: FILLED_AT[part.moment], overfull: overfull(part, pieceArea) },
    })),
    ...washes.map((part) => ({
      ...{ part, grams: part.grams ?? 0, moment: WASH_MOMENTS[part.moment], overfull: null },
      by: part.moment === 'baked' ? ('finish' as const) : ('wash' as const),
    })),
    ...toppings.map((part) => ({
      ...{ part, grams: part.grams ?? 0, moment: TOPPING_MOMENTS[part.moment], overfull: null },
      by: part.moment === 'baked' ? ('finish' as const) : ('wash' as const),
    })),
  ].filter(({ grams }) => grams > 0);
}

/** One output's need of a filling, a wash or a topping. */
export interface DressingNeed extends PartOfPiece {
  pieces: number;
  /** For whom: product and dough. */
  product: string;
  dough: string;
  /** When it is needed. */
  at: Instant;
}

/** A filling, a wash or a topping in all, with what needs it in the order of time. */
export interface DressingTotal {
  name: string;
  formulaId: number | null;
  grams: number;
  needs: (Omit<DressingNeed, 'grams'> & { grams: number })[];
}

/** Totals over outputs, in the order in which each is first needed. One formula is one total whatever it is called. */
export function dressingTotals(needs: readonly DressingNeed[]): DressingTotal[] {
  const totals = new Map<string, DressingTotal>();
  for (const need of [...needs].sort((a, b) => a.at - b.at)) {
    const { name, formulaId = null } = need.part;
    const grams = need.grams * need.pieces;
    const key = formulaId === null ? name.toLowerCase() : String(formulaId);
    const total = totals.get(key) ?? { name, formulaId, grams: 0, needs: [] };
    total.grams += grams;
    total.needs.push({ ...need, grams });
    totals.set(key, total);
  }
  return [...totals.values()];
}

/** Formulas that a dressing is made by, each once. */
export const formulasIn = (dressing: Dressing): number[] => [
  ...new Set(dressingParts(dressing).flatMap(({ formulaId }) => formulaId ?? [])),
];
