import type { PlanProblem, Times } from '../solver/problem';
import type { Reach, TaskMove } from '../solver/what-if';

/** What the page asks: a plan to suppose things of, where a step would take its dough, or how far it could go. */
export type WhatIfAsk =
  | { ask: 'plan'; problem: PlanProblem; present: Times; hands: string[]; stay: number }
  | { ask: 'move'; nth: number; task: string; start: number; whole: boolean }
  | { ask: 'reach'; nth: number; task: string };

export type WhatIfAnswer =
  | { nth: number; supposed: TaskMove | null }
  | { nth: number; reach: { earlier: Reach; later: Reach } | null };
