import type { Words } from '../codes/coded';
import type { DoughChange } from '../process/changes';
import type { Instant } from '../time/local';
import type { PlanChange, StepTimes } from './plan-changes';

/** A promise that a plan does not keep. */
export interface LatePromise {
  doughId: number;
  dough: string;
  product: string;
  dueAt: Instant;
  readyAt: Instant;
}

/** What a proposed plan would change, and what it costs, in the plan problem's terms. */
export interface ProposalBody {
  /** New times of every step that moves, by dough. */
  times: [doughId: number, times: StepTimes][];
  changes: PlanChange[];
  cost: number;
  costBefore: number;
  late: LatePromise[];
  /** What has to be brought about for it, in a sentence each: somebody more from 5 to 7, another promise. */
  needs: Words[];
  /** What accepting it does beside moving steps. */
  acts: ProposalAct[];
  /** Windows and times still chase one another. */
  unsettled?: boolean;
}

/** A change of the plan that waits for somebody with the right to accept it. */
export interface Proposal {
  id: number;
  /** The plan it was made for; it fits no other. */
  basis: number;
  kind: 'mend' | 'way-out' | 'better';
  title: Words;
  madeAt: Instant;
  madeBy: string;
  body: ProposalBody;
}

/** What accepting a proposal brings about beside the times. */
export type ProposalAct =
  | { kind: 'extra-shift'; personId: number; start: Instant; end: Instant }
  | { kind: 'due'; outputId: number; dueAt: Instant }
  | { kind: 'dough-change'; doughId: number; change: DoughChange }
  | { kind: 'unpin'; doughId: number; key: string };
