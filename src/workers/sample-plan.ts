import { samplePlan } from '@/core/planning/sampling';
import type { PlanProblem, Times } from '@/core/planning/problem';

/** Plays a plan through beside the page. */
self.onmessage = ({
  data,
}: MessageEvent<{ nth: number; problem: PlanProblem; present: Times; runs: number }>) => {
  const { nth, problem, present, runs } = data;
  self.postMessage({ nth, sampled: samplePlan(problem, present, { runs, seed: 1 }) });
};
