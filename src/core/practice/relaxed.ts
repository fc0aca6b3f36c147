import type { StepForecast } from '../forecast/forecast';
import { type Instant, MINUTE } from '../time/local';
import type { NightDough } from './night-record';
import type { Scene } from './scene';

/** The stress of rolling halves in so many minutes of rest, in a dough of usual strength (docs/trade.md). */
const HALF = 25;

/** How far a dough has relaxed in a rest since it was last rolled, 0 to 1. */
export function relaxedIn(scene: Scene, { record }: NightDough, step: StepForecast, at: Instant): number {
  const { strength = 1, longer = {} } = scene.hidden[record.id] ?? {};
  const rested = (at - step.start) / MINUTE + (longer[step.key] ?? 0);
  return 1 - 2 ** (-Math.max(0, rested) / (HALF * strength));
}
