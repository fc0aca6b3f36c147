import { MINUTE, type Instant } from '../time/local';
import type { DoughForecast } from './forecast';
import { isHandsOn } from '../record/state';

/** A wait that is cut short by starting a step now, and when it would be over at the soonest. */
export interface CutWait {
  label: string;
  until: Instant;
}

/** Less than this is nobody's question: minutes, and share of the wait. */
const LITTLE = 10;
const LITTLE_SHARE = 0.25;

/**
 * The wait that starting a step would cut short by much: the last one before it on its own way, or on a branch that joins
 * there. Null where none does, or where nobody can say when it is over.
 */
export function cutsShort(
  { steps, state }: Pick<DoughForecast, 'steps' | 'state'>,
  step: DoughForecast['steps'][number],
  now: Instant,
): CutWait | null {
  const at = steps.findIndex(({ key }) => key === step.key);
  const waits = steps.slice(0, Math.max(0, at)).flatMap((wait, i) => {
    const own = state.steps.get(wait.key);
    if (isHandsOn(wait) || wait.step.kind === 'bake' || own?.status !== 'running' || wait.never) return [];
    const joins = wait.step.branch === step.step.branch || step.step.branch === undefined;
    const sameWay = joins && (wait.outputId === null || wait.outputId === step.outputId);
    const between = steps
      .slice(i + 1, at)
      .some(
        (other) =>
          other.step.branch === wait.step.branch &&
          other.outputId === wait.outputId &&
          state.steps.get(other.key)?.status === 'open',
      );
    if (!sameWay || between) return [];
    const until = Math.max((own.startedAt ?? now) + wait.min * MINUTE, own.notBefore ?? -Infinity);
    const little = Math.max(LITTLE, LITTLE_SHARE * wait.min) * MINUTE;
    return until - now > little ? [{ label: wait.label, until }] : [];
  });
  return waits.sort((a, b) => b.until - a.until)[0] ?? null;
}
