import type { RecipeStep } from './reading';

/** A step of the method before its turns are counted out. */
export interface RunStep extends RecipeStep {
  /** So many turns at once. */
  times?: number;
  /** A rest follows each of these turns, not only the last; with `isBetween` all but the last. */
  isEach?: boolean;
  isBetween?: boolean;
  /** This rest is the one after the last turn. */
  isLast?: boolean;
  /** What was done before is done again so many times. */
  again?: number;
}

const isRest = (step: RunStep | undefined): boolean =>
  step?.kind === 'rest' || (step?.kind === 'retard' && step.isCold === true);

/**
 * Counts turns out: "three letter folds with 45 min after each" are three turns and three rests; "repeat twice" does the last
 * turns and their rest twice more; a rest of the last turn replaces the one that was said of all.
 */
export function turnRuns(steps: readonly RunStep[]): RecipeStep[] {
  const done: RunStep[] = [];
  let isCounted = false;
  for (let i = 0; i < steps.length; i++) {
    const step = steps[i] as RunStep;
    if (step.again !== undefined) {
      const run = lastRun(done);
      for (let nth = 0; nth < step.again; nth++) done.push(...run);
      isCounted = run.length > 0;
    } else if (step.kind === 'turn') {
      // Turns that follow one another share what is said of their rests.
      let end = i;
      while (steps[end + 1]?.kind === 'turn' && steps[end + 1]?.again === undefined) end++;
      const run = steps.slice(i, end + 1).flatMap((one) => Array<RunStep>(one.times ?? 1).fill(one));
      const [next, last] = [steps[end + 1], steps[end]];
      const rest = last?.isEach && next && isRest(next) && !next.isLast ? next : null;
      run.forEach((turn, nth) => {
        done.push(turn);
        const isAfter = nth < run.length - 1 || !turn.isBetween || run.length === 1;
        if (rest && isAfter) done.push(rest);
      });
      i = rest ? end + 1 : end;
      isCounted = rest !== null && run.length > 1;
    } else if (isRest(step) && isCounted && (isRest(done.at(-1)) || step.isLast)) {
      if (isRest(done.at(-1))) done.pop();
      done.push(step);
      isCounted = step.isLast === true;
    } else {
      done.push(step);
      isCounted = false;
    }
  }
  return done.map((step) => {
    const own = { ...step };
    for (const talk of ['times', 'isEach', 'isBetween', 'isLast', 'again'] as const) delete own[talk];
    return own;
  });
}

/** The turns at the end of what was done, with the rest behind them. */
function lastRun(done: readonly RunStep[]): RunStep[] {
  let from = done.length;
  while (isRest(done[from - 1])) from--;
  while (done[from - 1]?.kind === 'turn') from--;
  return done.slice(from).some(({ kind }) => kind === 'turn') ? done.slice(from) : [];
}
