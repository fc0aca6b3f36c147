import { taskId } from '../process/step-ref';
import type { DoughToPlan } from './problem';
import type { Pin } from '../solver/problem';
import { MINUTE, type Instant } from '../time/local';
import type { DoughForecast } from '../forecast/forecast';
import type { OutputRecord } from '../record/dough';

/**
 * What is left of a dough to plan. What is over no longer binds by its lengths, only by when it ended; what is under way
 * binds by when it began. `minute` turns an instant into a minute of the horizon.
 */
export function openPart(
  dough: DoughForecast,
  outputs: readonly Pick<OutputRecord, 'id'>[],
  now: Instant,
  minute: (at: Instant) => number,
): { expanded: DoughToPlan['expanded']; pins: Pin[] } {
  const isOver = (key: string) => ['done', 'skipped'].includes(dough.state.steps.get(key)?.status ?? 'open');
  const startOf = (key: string) => dough.state.steps.get(key)?.startedAt ?? null;
  // A minute that has begun counts whole: what is under way goes on at least until then.
  const nowMinute = minute(now + MINUTE / 2 - 1);
  const steps = dough.steps
    .filter(({ key }) => !isOver(key))
    .map((step) => {
      const startedAt = startOf(step.key);
      const elapsed = startedAt === null ? 0 : nowMinute - minute(startedAt);
      const min = step.step.work && startedAt !== null ? Math.max(step.min, elapsed) : step.min;
      const max = Math.max(step.max, elapsed);
      return { ...step, min, max, target: Math.max(step.target, min, Math.min(elapsed, max)) };
    });
  const links = dough.links.filter((link) => !isOver(link.from) && !isOver(link.to));
  const led = new Set(dough.links.map(({ from }) => from));
  const ready = outputs.flatMap(({ id }) =>
    steps
      .filter((step) => step.outputId === id && !led.has(step.key))
      .map(({ key }) => ({ outputId: id, key })),
  );
  const pins = steps.flatMap(({ key }): Pin[] => {
    const startedAt = startOf(key);
    return startedAt === null ? [] : [{ task: taskId(dough.id, key), start: minute(startedAt) }];
  });
  return { expanded: { steps, links, ready }, pins };
}
