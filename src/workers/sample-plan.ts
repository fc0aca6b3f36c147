import { samplePlan, type Spread } from '@/core/solver/sampling';
import type { PlanProblem, Times } from '@/core/solver/problem';

/** Plays a plan through beside the page. */
self.onmessage = ({
  data,
}: MessageEvent<{ nth: number; problem: PlanProblem; present: Times; runs: number; spread: Spread }>) => {
  const { nth, problem, present, runs, spread } = data;
  self.postMessage({ nth, sampled: samplePlan(problem, present, { runs, seed: 1, spread }) });
};
