import type { Proposal } from '@/core/schedule/proposal';

/** What the plan page knows beside its board. */
export interface PlanState {
  /** Number of the plan version that is shown. */
  basis: number;
  history: { undo: string | null; redo: string | null };
  mends: Proposal[];
  /** Whether whoever looks may accept a repair now. */
  mayRepair: boolean;
  /** Minutes behind from which it matters. */
  lateMatters: number;
  /** What a minute's move of a hands-on step counts. */
  stay: number;
}
