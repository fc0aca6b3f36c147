import type { Plan, PlanProblem, Times } from '../../src/core/solver/problem';

export function problemErrors(problem: unknown): string[];
export function planErrors(problem: PlanProblem, plan: Plan): string[];
export function planCost(problem: PlanProblem, times: Times): number;
