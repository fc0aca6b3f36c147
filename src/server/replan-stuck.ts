import { coded, type Words } from '@/core/codes/coded';
import { overlongWaits, stuckIn, withStretchedWaits } from '@/core/schedule/stuck';
import { stepOf } from '@/core/schedule/supposed';
import type { WholePlan } from '@/core/schedule/whole-plan';
import { taskId } from '@/core/process/step-ref';
import type { Times } from '@/core/solver/problem';
import { MINUTE } from '@/core/time/local';
import type { Db } from './db/rows';
import { replan, type Replanning, type ReplanResult } from './replan';

/** So many times doughs that cannot wait are found out, each time those of one conflict. */
const ROUNDS = 6;

/**
 * Plans everything anew, as `replan` does. Where no plan keeps every rule, since a dough would have to wait for longer than it can, it
 * is left to wait, the plan is right for all others, and what has to be decided of it is the first of what the plan needs.
 */
export async function replanWithStuck(db: Db, now: number, options: Replanning): Promise<ReplanResult> {
  const stuck = new Set<string>();
  let found = await replan(db, now, options);
  for (let round = 0; found.kind === 'none' && round < ROUNDS; round++) {
    const more = [...stuckIn(found.whole.problem, found.conflict)].filter((dough) => !stuck.has(dough));
    if (more.length === 0) return found;
    for (const dough of more) stuck.add(dough);
    found = await replan(db, now, { ...options, change: (problem) => withStretchedWaits(problem, stuck) });
  }
  if (found.kind === 'none' || stuck.size === 0) return found;
  const decide = toDecide(found.whole, timesOf(found));
  return { ...found, body: { ...found.body, needs: [...decide, ...found.body.needs] } };
}

/** The times of a plan that was found, of all tasks, in minutes of its horizon. */
function timesOf({ whole, body }: Extract<ReplanResult, { kind: 'plan' }>): Times {
  const moved = body.times.flatMap(([dough, steps]) =>
    Object.entries(steps).map(([key, [start, end]]): [string, Times[string]] => {
      const minute = (at: number) => Math.round((at - whole.origin) / MINUTE);
      return [taskId(dough, key), [minute(start), minute(end)]];
    }),
  );
  return { ...whole.present, ...Object.fromEntries(moved) };
}

/** What somebody has to decide: a dough that waits for too long, the worst wait of each. */
function toDecide(whole: WholePlan, times: Times): Words[] {
  const named = new Set<number>();
  return overlongWaits(whole.problem, times).flatMap(({ task, minutes, longest }) => {
    const found = stepOf(whole, task);
    if (!found || named.has(found.dough.id)) return [];
    named.add(found.dough.id);
    return [
      coded('reasons.cannotWait', {
        ...{ dough: found.dough.name, step: { inLine: found.step.label } },
        ...{ minutes: { minutes }, longest: { minutes: longest } },
      }),
    ];
  });
}
