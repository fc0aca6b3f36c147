import type { PieceShape } from '../../cutting/piece';
import type { StageKind } from '../../formula/formula';
import type { Fold, LockIn } from '../../lamination/stack';
import type { RecipeTin } from '../reading';

/** What a word of a method does to the dough, before it is known where in the work it is said. */
export type Act =
  | 'mix'
  | 'knead'
  | 'bulk'
  | 'proof'
  | 'rise'
  | 'rest'
  | 'cold'
  | 'retard'
  | 'freezer'
  | 'freeze'
  | 'thaw'
  | 'butter'
  | 'lock-in'
  | 'turn'
  | 'degas'
  | 'fold'
  | 'divide'
  | 'sheet'
  | 'cut'
  | 'shape'
  | 'fill'
  | 'wash'
  | 'finish'
  | 'preheat'
  | 'bake'
  | 'cool'
  | 'repeat'
  | 'times';

/** Words of recipes in one language. Every expression is for whole words, whatever their case. */
export interface RecipeWords {
  /** Short forms whose stop ends no sentence, though a large letter follows. */
  short: RegExp;
  /** Small words that tell the language. */
  common: RegExp;
  hour: RegExp;
  minute: RegExp;
  day: RegExp;
  overnight: RegExp;
  /** Between two ends of a range. */
  upTo: RegExp;
  degrees: RegExp;
  gas: RegExp;
  fan: RegExp;
  headings: readonly [StageKind | 'method' | 'ingredients', RegExp][];
  /** What marks butter as the one that is rolled in. */
  rollIn: RegExp;
  /** What marks an ingredient as one for the wash or the finish. */
  finishing: RegExp;
  /** What may stand around an ingredient's name and changes nothing about what it is. */
  beside: RegExp;
  acts: readonly [Act, RegExp][];
  folds: readonly [Fold, RegExp][];
  lockIns: readonly [LockIn, RegExp][];
  /** How often, as said before a turn or behind "repeat". */
  times: readonly [number, RegExp][];
  /** Of rests beside turns. */
  each: RegExp;
  between: RegExp;
  last: RegExp;
  inARow: RegExp;
  /** Where it is neither cold nor warm on purpose. */
  room: RegExp;
  /** Right before a temperature, says that it is the dough's own when it is mixed. */
  doughTemperature: RegExp;
  slow: RegExp;
  fast: RegExp;
  steam: RegExp;
  vent: RegExp;
  /** A filling, and what is done where it is made. */
  filling: RegExp;
  cook: RegExp;
  /** A levain or sponge that is being made. */
  preferments: readonly ['levain' | 'sponge', RegExp][];
  shapes: readonly [PieceShape, RegExp][];
  /** Tins and pans: what a kind is called, the narrower words first. */
  tins: readonly [RecipeTin['kind'], RegExp][];
  /** A yield: the number is its first group that is there. */
  makes: RegExp;
  /** A yield that a method names: its number is the first group. */
  gives: RegExp;
  /** Number of pieces beside what they are. */
  pieces: RegExp;
  /** Between parts of a sentence. */
  then: RegExp;
}

/** An expression for one of the alternatives as whole words, anywhere, for every match. */
export const anywhere = (alternatives: string): RegExp =>
  new RegExp(`(?<![\\p{L}\\d])(?:${alternatives})(?![\\p{L}\\d])`, 'giu');

/** The same, for a look whether it is there. */
export const somewhere = (alternatives: string): RegExp =>
  new RegExp(`(?<![\\p{L}\\d])(?:${alternatives})(?![\\p{L}\\d])`, 'iu');

/** The same at the head of a text, behind blanks. */
export const ahead = (alternatives: string): RegExp =>
  new RegExp(`^[\\s-]*(?:${alternatives})(?![\\p{L}\\d])`, 'iu');
