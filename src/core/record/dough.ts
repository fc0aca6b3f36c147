import type { Allergen } from '../formula/ingredient';
import type { BlockWork } from '../process/block-work';
import type { DoughStep } from '../process/expand';
import type { PieceSpec, RouteLink } from '../process/route';
import type { Instant } from '../time/local';
import type { FloorEvent } from './events';

/** One promise of a dough. */
export interface OutputRecord {
  id: number;
  product: string;
  pieces: number;
  dueAt: Instant;
  freshFor: number;
  /** How a piece is cut or divided, filled and made up. */
  piece: PieceSpec;
  /** What is in it that has to be declared: formula, filling, wash, topping, and what really went in. */
  allergens: Allergen[];
  /** Ingredients of which nobody has said what they contain; none where nothing is said. */
  undeclared?: string[];
}

/** When a step is planned; `pinned`: a planner has fixed its start. */
export interface PlannedTime {
  plannedStart: Instant;
  plannedEnd: Instant;
  pinned?: boolean;
}

/** A dough with all that is needed to draw and fold it: facts and plan, nothing derived. */
export interface DoughRecord {
  id: number;
  name: string;
  /** When it was put into the plan: nothing was recorded of it much earlier. */
  madeAt: Instant;
  kg: number;
  /** How many bowls it is mixed in. */
  bowls: number;
  /** Null for a dough that is not laminated. */
  lamination: BlockWork | null;
  outputs: OutputRecord[];
  steps: (DoughStep & PlannedTime)[];
  links: RouteLink[];
  events: FloorEvent[];
  /** When the last thing was recorded of a dough of which nothing is open any more. */
  finished?: Instant;
}
