import type { DoughRecord } from '@/core/record/dough';
import type { DoughForecast } from '@/core/forecast/forecast';
import { openPart } from '@/core/schedule/open-part';
import { choicesOf } from '@/core/process/on-machines';
import { taskId } from '@/core/process/step-ref';
import { planProblem } from '@/core/schedule/problem';
import { MINUTE } from '@/core/time/local';
import { planInThread } from '../planner';
import { houseSettings } from '../store/house';
import { Refusal, type SearchContext } from './command';
import type { StepPlacement } from './plan-version';
import { doughFrame } from './planning-frame';
import type { Coded } from '@/core/codes/coded';

/**
 * Finds other times for what is left of a dough, amid all others, which keep their places. Late is better than wrong:
 * promises are kept where they can be. Writes nothing.
 *
 * @throws {Refusal} with `nothing`, where it finds no place at all
 */
export async function findOpenPart(
  { db, now }: Pick<SearchContext, 'db' | 'now'>,
  { record: dough, forecast }: { record: DoughRecord; forecast: DoughForecast },
  nothing: Coded,
): Promise<StepPlacement[]> {
  // From the day of its first event, so that what began yesterday can be pinned where it began.
  const from = Math.min(now, ...dough.events.map(({ at }) => at));
  const { origin, minute, frame, standing } = await doughFrame(db, dough, { now, from });
  const { expanded, pins } = openPart(forecast, dough.outputs, now, minute);
  const promises = dough.outputs.map(({ id: outputId, dueAt, freshFor, lateness = 1 }) => ({
    lateness,
    outputId,
    due: Math.max(0, minute(dueAt)),
    freshFor,
  }));
  const problem = planProblem(frame, [{ id: dough.id, expanded, promises }], standing);
  problem.pins.push(...pins);
  const solution = await planInThread(problem, { seconds: (await houseSettings(db)).planSeconds });
  if (solution?.plan.status !== 'feasible') throw new Refusal(nothing, 'doughId');
  const { times, chosen = {} } = solution.plan;
  return expanded.steps.map((step) => {
    const id = taskId(dough.id, step.key);
    const [start, end] = times[id] ?? [0, 0];
    const at = { start: origin + start * MINUTE, end: origin + end * MINUTE };
    return { doughId: dough.id, key: step.key, ...at, machines: choicesOf(step, chosen[id]) };
  });
}
