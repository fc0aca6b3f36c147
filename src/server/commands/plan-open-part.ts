import { floorDough, type BoardDough } from '@/core/floor/board';
import { openPart } from '@/core/floor/open-part';
import { planProblem, taskId } from '@/core/route/problem';
import { MINUTE } from '@/core/time/local';
import { planInThread } from '../planner';
import { houseValues } from '../queries/house';
import { Refusal, type CommandContext } from './command';
import { movePlan, type Making } from './plan-version';
import { doughFrame } from './planning-frame';

/**
 * Plans what is left of a dough anew, amid all others, which keep their places. Late is better than wrong: promises are
 * kept where they can be. `nothing` is said where it finds no place at all.
 */
export async function planOpenPart(
  { db, now, person }: CommandContext,
  dough: BoardDough,
  { reason, nothing, act = 'plan' }: { reason: string; nothing: string; act?: NonNullable<Making['act']> },
): Promise<void> {
  // From the day of its first event, so that what began yesterday can be pinned where it began.
  const from = Math.min(now, ...dough.events.map(({ at }) => at));
  const { origin, minute, frame, standing } = await doughFrame(db, dough, { now, from });
  const { expanded, pins } = openPart(dough, floorDough(dough).state, now, minute);
  const promises = dough.outputs.map(({ id: outputId, dueAt, freshFor }) => ({
    outputId,
    due: Math.max(0, minute(dueAt)),
    freshFor,
  }));
  const problem = planProblem(frame, [{ id: dough.id, expanded, promises }], standing);
  problem.pins.push(...pins);
  const solution = await planInThread(problem, { seconds: (await houseValues(db))('plan_seconds') });
  if (solution?.plan.status !== 'feasible') throw new Refusal(nothing, 'doughId');
  const { times } = solution.plan;
  const moved = expanded.steps.map(({ key }) => {
    const [start, end] = times[taskId(dough.id, key)] ?? [0, 0];
    return { doughId: dough.id, key, start: origin + start * MINUTE, end: origin + end * MINUTE };
  });
  await movePlan(db, moved, { now, personId: person.id, reason, act });
}
