import { USUAL_SPREAD, type Spread } from '../solver/sampling';
import { MINUTE } from '../time/local';
import { stateOf, type DoughRecord } from '../record/dough';

/** Timed steps that the house's usual spread counts for. */
const WEIGHT = 30;
/** What takes so many times its time, or that little of it, was forgotten or tapped in one go. */
const MOST = 3;

/**
 * How much hands-on work varies, from what was recorded: the standard deviation of how long it took against its time,
 * drawn towards the usual spread as long as little is known. `timed` says from how many steps. Waits keep the usual
 * spread: how sure they are is learnt product by product.
 */
export function spreadOfLog(doughs: readonly DoughRecord[]): { spread: Spread; timed: number } {
  let [timed, squares] = [0, 0];
  for (const dough of doughs) {
    const state = stateOf(dough);
    for (const { key, step, target } of dough.steps) {
      const done = state.steps.get(key);
      if (!step.work || !done || done.startedAt === null || done.finishedAt === null || target === 0)
        continue;
      const ratio = (done.finishedAt - done.startedAt) / MINUTE / target;
      if (ratio < 1 / MOST || ratio > MOST) continue;
      timed++;
      squares += (ratio - 1) ** 2;
    }
  }
  const work = Math.sqrt((WEIGHT * USUAL_SPREAD.work ** 2 + squares) / (WEIGHT + timed));
  return { spread: { ...USUAL_SPREAD, work }, timed };
}
