import { startWindows } from '../solver/slack';
import { taskId } from '../process/step-ref';
import { planProblem } from './problem';
import { MINUTE, type Instant } from '../time/local';
import type { DoughForecast } from '../forecast/forecast';
import type { OutputRecord } from '../record/dough';
import { openPart } from './open-part';

/**
 * From when to when each open step of a dough may start so that all its promises are kept, by its own waits and what
 * is recorded already. Hands and machines are not looked at. Null where a promise is out of reach.
 */
export function stepSlack(
  dough: DoughForecast,
  outputs: readonly OutputRecord[],
  now: Instant,
): Map<string, { from: Instant; to: Instant }> | null {
  const { state } = dough;
  const times = dough.steps.flatMap((step) => [step.plannedStart, step.plannedEnd]);
  const recorded = [...state.steps.values()].flatMap((s) => [s.startedAt ?? now, s.finishedAt ?? now]);
  const origin = Math.min(now, ...times, ...recorded) - MINUTE;
  const minute = (at: Instant) => Math.round((at - origin) / MINUTE);
  const horizon = minute(Math.max(now, ...times, ...outputs.map(({ dueAt }) => dueAt))) + 7 * 24 * 60;
  const { expanded, pins } = openPart(dough, outputs, now, minute);
  const steps = expanded.steps.map((step) => ({ ...step, uses: [] }));
  const problem = planProblem(
    { name: dough.name, horizon, now: minute(now), crew: [[0, 0]], machines: [] },
    [
      {
        id: dough.id,
        expanded: { ...expanded, steps },
        promises: outputs.map(({ id, dueAt, freshFor }) => ({
          outputId: id,
          due: minute(dueAt),
          freshFor,
        })),
      },
    ],
    [],
  );
  problem.pins.push(...pins);
  const windows = startWindows(problem);
  if (!windows) return null;
  return new Map(
    steps.flatMap(({ key }) => {
      const window = windows.get(taskId(dough.id, key));
      return window
        ? [[key, { from: origin + window.from * MINUTE, to: origin + window.to * MINUTE }] as const]
        : [];
    }),
  );
}
