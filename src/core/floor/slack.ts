import { startWindows } from '../planning/slack';
import { planProblem, taskId } from '../route/problem';
import { MINUTE, type Instant } from '../time/local';
import { floorDough, type BoardDough } from './board';

/**
 * From when to when each open step of a dough may start so that all its promises are kept, by its own waits and what
 * is recorded already. Hands and machines are not looked at. Null where a promise is out of reach.
 */
export function stepSlack(
  dough: BoardDough,
  now: Instant,
): Map<string, { from: Instant; to: Instant }> | null {
  const { state } = floorDough(dough);
  const times = dough.steps.flatMap((step) => [step.plannedStart, step.plannedEnd]);
  const recorded = [...state.steps.values()].flatMap((s) => [s.startedAt ?? now, s.finishedAt ?? now]);
  const origin = Math.min(now, ...times, ...recorded) - MINUTE;
  const minute = (at: Instant) => Math.round((at - origin) / MINUTE);
  const horizon = minute(Math.max(now, ...times, ...dough.outputs.map(({ dueAt }) => dueAt))) + 7 * 24 * 60;
  // What is over no longer binds by its lengths, only by when it ended; what is under way binds by when it began.
  const open = dough.steps.filter((step) => !isOver(step.key));
  const steps = open.map((step) => {
    const startedAt = state.steps.get(step.key)?.startedAt ?? null;
    const elapsed = startedAt === null ? 0 : minute(now) - minute(startedAt);
    return {
      ...step,
      max: Math.max(step.max, elapsed),
      target: Math.max(step.target, Math.min(elapsed, step.max)),
      uses: [],
    };
  });
  const links = dough.links.filter((link) => !isOver(link.from) && !isOver(link.to));
  const ready = dough.outputs.flatMap(({ id }) =>
    steps
      .filter((step) => step.outputId === id && !dough.links.some((link) => link.from === step.key))
      .map(({ key }) => ({ outputId: id, key })),
  );
  const problem = planProblem(
    { name: dough.name, horizon, now: minute(now), crew: [[0, 0]], machines: [] },
    [
      {
        id: dough.id,
        expanded: { steps, links, ready, kg: dough.kg },
        promises: dough.outputs.map(({ id, dueAt, freshFor }) => ({
          outputId: id,
          due: minute(dueAt),
          freshFor,
        })),
      },
    ],
    [],
  );
  for (const step of steps) {
    const startedAt = state.steps.get(step.key)?.startedAt ?? null;
    if (startedAt !== null) problem.pins.push({ task: taskId(dough.id, step.key), start: minute(startedAt) });
  }
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

  function isOver(key: string): boolean {
    const status = state.steps.get(key)?.status;
    return status === 'done' || status === 'skipped';
  }
}
