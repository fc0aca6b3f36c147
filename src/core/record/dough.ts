import type { Allergen } from '../formula/ingredient';
import type { BlockWork } from '../process/block-work';
import type { DoughStep } from '../process/expand';
import type { OutputWay } from '../process/output-way';
import type { PieceSpec, ProductSpec, RouteLink } from '../process/route';
import type { Instant } from '../time/local';
import type { FloorEvent } from './events';
import { foldDough, type DoughState } from './state';

/** One promise of a dough. */
export interface OutputRecord {
  id: number;
  product: string;
  pieces: number;
  dueAt: Instant;
  /** Where its pieces go or come from; left out where they are baked fresh. */
  way?: Exclude<OutputWay, 'fresh'>;
  /** Its part of the dough, kg. */
  doughKg?: number;
  freshFor: number;
  /** What a minute late costs, against what is usual; left out where it is usual. */
  lateness?: number;
  /** How a piece is cut or divided, filled and made up. */
  piece: PieceSpec;
  /** What is in it that has to be declared: formula, filling, wash, topping, and what really went in. */
  allergens: Allergen[];
  /** Ingredients of which nobody has said what they contain; none where nothing is said. */
  undeclared?: string[];
  /** How the product rises, by phase. */
  rises?: ProductSpec['rises'];
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
  /** How the dough rises before its outputs part, by phase. */
  rises?: ProductSpec['rises'];
  /** Yeast of its formula, as instant, grams; left out where it has none. */
  yeastGrams?: number;
  /** Its waits have the windows that the route gives them: what today makes of them is the forecast's. */
  steps: (DoughStep & PlannedTime)[];
  links: RouteLink[];
  events: FloorEvent[];
  /** When the last thing was recorded of a dough of which nothing is open any more. */
  finished?: Instant;
}

/** Folds what was recorded of a dough. */
export const stateOf = (dough: Pick<DoughRecord, 'steps' | 'links' | 'events'>): DoughState =>
  foldDough(dough, dough.events);

/** Whether something rises during a step, so that it can be judged. */
export function rises(
  dough: Pick<DoughRecord, 'rises'> & { outputs: readonly Pick<OutputRecord, 'id' | 'rises'>[] },
  { step, outputId }: Pick<DoughStep, 'step' | 'outputId'>,
): boolean {
  const own = outputId === null ? dough : dough.outputs.find(({ id }) => id === outputId);
  return step.rise !== undefined && own?.rises?.[step.rise.phase] !== undefined;
}
