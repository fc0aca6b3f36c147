import { compile, type Model } from './model';
import { Placer } from './placement';
import type { PlanProblem } from './problem';
import { seeded } from './random';
import { State } from './state';
import { narrow, ownWindows, pinnedPlaces } from './windows';

/** Price of overload that no saving of cost outweighs: with it, overload in the best place means no place at all. */
const NEVER = 1e7;

/**
 * The least that any plan costs, from each set of linked tasks placed as if it had the bakery to itself but for what
 * is pinned. Infinity where even that is impossible: then the problem has no plan. (Tasks of one set do not see each
 * other here, so this is a lower bound.)
 */
export function relaxedCost(model: Model): number {
  const windows = ownWindows(model);
  for (const members of model.components) if (!narrow(model, windows, members)) return Infinity;
  const placer = new Placer(model, windows);
  const state = new State(model, placer, seeded(0));
  const pinned = pinnedPlaces(windows);
  state.pin(pinned);
  if (state.overload > 0) return Infinity;
  const isPinned = new Set(pinned.map(({ task }) => task));
  let total = state.cost;
  for (const members of model.components) {
    const open = members.filter((i) => !isPinned.has(i));
    if (open.length > 0) total += state.quote(open, NEVER);
  }
  return total < NEVER ? total : Infinity;
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
