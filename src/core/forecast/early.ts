import type { Words } from '../codes/coded';
import { isHandsOn } from '../record/state';
import { MINUTE, type Instant } from '../time/local';
import type { DoughForecast, StepForecast } from './forecast';

/** A wait that is cut short by starting a step now, and when it may end at the earliest. */
export interface CutWait {
  label: Words;
  until: Instant;
}

/** Less than this is nobody's question: minutes, and share of a wait that nobody has looked at. */
const LITTLE = 10;
const LITTLE_SHARE = 0.25;
/** Of a wait that somebody has looked at and found not ready, minutes. */
const LITTLE_LOOKED_AT = 2;

/**
 * The wait that starting a step now would cut short by more than is nobody's question: what the forecast does not allow is
 * asked about. Null where nothing is cut short, or where nobody can say when the wait is over.
 */
export function cutsShort(
  { steps, links }: Pick<DoughForecast, 'steps' | 'links'>,
  step: StepForecast,
  now: Instant,
): CutWait | null {
  const waits = links.flatMap(({ from, to, min }) => {
    const wait = to === step.key ? steps.find(({ key }) => key === from) : undefined;
    if (!wait?.ready || wait.status !== 'running' || isHandsOn(wait) || wait.never) return [];
    const until = wait.ready.earliest + min * MINUTE;
    return until - now > little(wait) * MINUTE ? [{ label: wait.label, until }] : [];
  });
  return waits.sort((a, b) => b.until - a.until)[0] ?? null;
}

function little({ min, cause }: StepForecast): number {
  const looked = cause !== null && ['look', 'check', 'alive'].includes(cause.code);
  return looked ? LITTLE_LOOKED_AT : Math.max(LITTLE, LITTLE_SHARE * min);
}
