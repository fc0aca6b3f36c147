import { compile, type Model } from './model';
import { networkOf } from './network';
import type { PlanProblem } from './problem';
import { seeded } from './random';
import { Relaxed } from './relaxed';
import { State } from './state';

/**
 * The least that any plan costs, from each set of linked steps placed as if it had all resources to itself but for what
 * is pinned. Infinity where even that is impossible: then the problem has no plan. (Steps of one set do not see each
 * other here, so this is a lower bound.)
 */
export function relaxedCost(model: Model): number {
  const network = networkOf(model);
  return (network && Relaxed.of(new State(network, seeded(0))))?.bound ?? Infinity;
}

/**
 * Tasks that cannot hold together, or null where none are found. Cut down to them (with the links among them, their
 * pins and all resources) the problem has no plan; leaving out any one of them, this test no longer shows that.
 */
export function findConflict(problem: PlanProblem): string[] | null {
  const hopeless = (ids: ReadonlySet<string>) => relaxedCost(compile(problem, ids)) === Infinity;
  let kept = problem.tasks.map((task) => task.id);
  if (!hopeless(new Set(kept))) return null;
  // Leaves out ever smaller parts as long as the rest stays hopeless.
  for (let size = Math.ceil(kept.length / 2); ; size = Math.ceil(size / 2)) {
    for (let from = 0; from < kept.length;) {
      const fewer = [...kept.slice(0, from), ...kept.slice(from + size)];
      if (fewer.length > 0 && hopeless(new Set(fewer))) kept = fewer;
      else from += size;
    }
    if (size === 1) return kept;
  }
}
