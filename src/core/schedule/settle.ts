/** Windows that move by less than this from one round to the next have settled, minutes. */
export const SETTLED = 3;
/** Rounds in which a plan and the windows of its waits may chase one another. */
const ROUNDS = 5;

/** How a plan and the windows that follow from it are worked out in turn. */
export interface Settling<Windows, Plan> {
  /** Plans with these windows; null where no plan keeps them. */
  plan: (windows: Windows, round: number) => Promise<Plan | null>;
  /** The windows as they are when this is the plan. */
  windowsOf: (plan: Plan) => Windows;
  /** True where some window moved by more than `SETTLED`. */
  moved: (before: Windows, after: Windows) => boolean;
}

/** A plan, the windows it was made with, and whether they hold when it is kept. */
export interface SettledPlan<Windows, Plan> {
  windows: Windows;
  plan: Plan;
  settled: boolean;
}

/**
 * Plans, works the windows of waits out anew from the plan, and plans again, until they no longer move: waits share one
 * fermentation, so a longer night makes a shorter proof. Windows that would only close again are left as they were.
 *
 * @returns null where the first round finds no plan
 */
export async function planUntilSettled<Windows, Plan>(
  start: Windows,
  { plan, windowsOf, moved }: Settling<Windows, Plan>,
): Promise<SettledPlan<Windows, Plan> | null> {
  const first = await plan(start, 0);
  if (first === null) return null;
  let kept = { windows: start, plan: first };
  for (let round = 1; ; round++) {
    const after = windowsOf(kept.plan);
    if (!moved(kept.windows, after)) return { ...kept, settled: true };
    const next = round < ROUNDS ? await plan(after, round) : null;
    if (next === null) return { ...kept, settled: false };
    kept = { windows: after, plan: next };
  }
}
