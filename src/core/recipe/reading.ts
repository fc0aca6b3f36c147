import type { Coded } from '../codes/coded';
import type { PieceShape } from '../cutting/piece';
import type { StageKind } from '../formula/formula';
import type { Fold, LockIn } from '../lamination/stack';
import type { StepKind } from '../process/route';
import type { AmountLanguage } from '../units/words';

/** A part of a text: characters from `from` up to, without, `to`. */
export interface Span {
  from: number;
  to: number;
}

/** Both ends of what a recipe gives as a range; the same where it is none. */
export type Range = readonly [low: number, high: number];

/** An ingredient with its amount, as one part of the text gives it. */
export interface RecipeAmount extends Span {
  /** Id in the ingredient book; null where the book has nothing of that name. */
  ingredient: string | null;
  /** What the text calls it. */
  name: string;
  /** The amount as the text has it. */
  text: string;
  stage: StageKind;
  /** Null where it is not weighed, or cannot be. */
  grams: Range | null;
  isUncounted?: true;
}

/** A step or wait of the method. */
export interface RecipeStep extends Span {
  kind: StepKind;
  minutes?: Range;
  /** Around the dough, or of a bake in the oven. */
  celsius?: Range;
  /** It is cold there, though no degrees are given. */
  isCold?: true;
  fold?: Fold;
}

/** A phase of the bake; °C as the text has it, and with what a fan does about it. */
export interface RecipeBake extends Span {
  celsius: number | null;
  minutes: Range | null;
  isFan?: true;
  steam?: true;
  vent?: true;
}

/** A tin, mould or pan that the pieces are baked in. */
export interface RecipeTin extends Span {
  kind: 'loaf' | 'round' | 'holes' | 'pan';
  count: number;
  /** Its sides, or its diameter, cm. */
  size?: number[];
  /** Places for single pieces in it. */
  holes?: number;
}

export interface RecipePieces {
  count?: number;
  shape?: PieceShape;
  /** Grams of a piece. */
  grams?: number;
  /** Base or side, and height, cm. */
  size?: readonly [base: number, height: number];
}

export type MarkKind = 'title' | 'heading' | 'amount' | 'step' | 'turn' | 'bake' | 'pieces';

/** What a part of the text became. */
export interface Mark extends Span {
  as: MarkKind;
}

/** A part of the text that a person has to decide. */
export interface Ask extends Span {
  message: Coded;
}

/** What a recipe's text means, every part of it with its place. */
export interface RecipeReading {
  /** The text that the places count in: a file of another form is turned into lines first. */
  text: string;
  language: AmountLanguage;
  title: string | null;
  amounts: RecipeAmount[];
  turns: Fold[];
  lockIn: LockIn | null;
  steps: RecipeStep[];
  bake: RecipeBake[];
  pieces: RecipePieces;
  tins: RecipeTin[];
  /** What the dough is to have after mixing, °C. */
  doughCelsius: number | null;
  /** Thickness of the final sheet, mm. */
  sheetMm: number | null;
  marks: Mark[];
  /** Parts that were not understood: sentences that came to nothing, and numbers that nothing was made of. */
  unread: Span[];
  asks: Ask[];
}
