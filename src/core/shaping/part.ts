import type { Allergen } from '../formula/ingredient';

/** What goes into or onto a piece beside its dough. */
export interface DressingPart {
  /** Its formula's or its own name: "poppy filling", "whole egg", "sesame, one slit". */
  name: string;
  /** The formula that it is made by, where it has one of the house. */
  formulaId?: number;
  /** Grams a piece; none where nobody weighs it, 0 where nothing is put on it: a cut, a bend that tells kinds apart. */
  grams?: number;
  /** What it brings that has to be declared, beside what its formula does. */
  allergens?: Allergen[];
  /** Where on the piece: "the tops, not the cut layers". */
  where?: string;
}
