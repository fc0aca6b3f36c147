import type { Allergen } from '../formula/ingredient';
import type { ListedIngredient } from '../formula/ingredient-list';
import type { StockKind } from '../process/output-way';
import type { Instant } from '../time/local';

/** What a label says of one output of a dough. */
export interface GoodsLabel {
  outputId: number;
  product: string;
  /** The dough that it comes from. */
  batch: string;
  /** Fresh goods, or what they are kept as. */
  kept: StockKind | null;
  pieces: number;
  /** Of its dough, grams: for dough that is kept. */
  doughGrams: number;
  perTray: number;
  /** The heaviest first. */
  ingredients: ListedIngredient[];
  contains: Allergen[];
  /** Ingredients of which nobody has said what they contain: the label cannot be complete. */
  undeclared: string[];
  /** When it was made, or will be by the plan. */
  madeAt: Instant;
  isMade: boolean;
  bestBefore: Instant;
}
