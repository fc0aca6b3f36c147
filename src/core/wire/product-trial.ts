import type { Words } from '../codes/coded';
import type { BranchKind } from '../process/route';
import type { Instant } from '../time/local';

/** A batch of a product in this bakery, as it would be planned amid all that is planned already. */
export interface ProductTrial {
  /** In the order in which they begin. */
  steps: {
    key: string;
    label: Words;
    start: Instant;
    end: Instant;
    /** People who have their hands on it; 0 for a wait. */
    people: number;
    /** Temperature around it, °C. */
    celsius: number;
    /** What it is made alongside as; null for the dough and its pieces. */
    branch: BranchKind | null;
    /** Machines that it is on, as the bakery calls them. */
    machines: string[];
  }[];
  start: Instant;
  ready: Instant;
  /** Minutes later than asked for; 0 where it is ready in time. */
  late: number;
  /** Dough ready to cut, kg, and the bowls that it is mixed in. */
  kg: number;
  bowls: number;
  /** Minutes of hands, of all people together. */
  hands: number;
}
