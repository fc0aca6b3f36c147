import type { Amounts } from '../process/step-amounts';

/** What is weighed out at the steps of a dough, with what the ingredients are called. */
export interface DoughAmounts {
  /** By the key of the step. */
  steps: Record<string, Amounts[]>;
  names: Record<string, string>;
  /** Ingredients that are kept cold: they have to come out, or are fetched last. */
  cold: string[];
}
