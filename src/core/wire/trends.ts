import type { Machine } from '../bakery/machines';
import type { HouseDrift } from '../diagnosis/trends';
import type { BatchSummary } from '../diagnosis/summary';
import type { Improvement } from '../learning/improved';
import type { RisePhase } from '../process/route';
import type { Instant } from '../time/local';

/** What was learnt of one rise of a product, and what it was good for. */
export interface LearntTime extends Improvement {
  product: string;
  phase: RisePhase;
}

/** Months of batches, and what they show. */
export interface TrendsPage {
  batches: BatchSummary[];
  /** Batches that are not read yet. */
  left: number;
  from: Instant;
  to: Instant;
  drifts: HouseDrift[];
  learnt: LearntTime[];
  /** Ovens and proofers in use, in the house's order. */
  measured: Pick<Machine, 'id' | 'label' | 'capacity'>[];
  /** Names of machines by their ids. */
  machines: Record<string, string>;
  /** Names of people by their ids; none where the house does not want them here. */
  people: Record<number, string>;
}
