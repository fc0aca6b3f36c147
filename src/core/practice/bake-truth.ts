import type { StepForecast } from '../forecast/forecast';
import { type Instant, MINUTE } from '../time/local';
import { airIn } from './night';
import type { Scene } from './scene';

/** What a bake has really done so far. */
export interface BakeTruth {
  /** Heat taken up against what the programme gives: 1 as meant. */
  heat: number;
  /** Core, °C. */
  core: number;
}

/** A dough goes into the oven at about this, °C; and what heat is counted from. */
const GOES_IN = 26;
/** The core ends near this, °C, whatever the oven has: water boils away. */
const BOILS = 99;

/**
 * How far a bake is: heat goes by minutes times how much hotter the oven is than the dough, and the core closes in on boiling
 * so that the programme brings it to what the product asks.
 */
export function bakeIn(scene: Scene, step: StepForecast, at: Instant): BakeTruth {
  const minutes = Math.max(0, at - step.start) / MINUTE;
  const place = step.place;
  const air = place === undefined ? undefined : airIn(scene)(place, step.start, at, step.around);
  const heat =
    (((air ?? step.around) - GOES_IN) / (step.around - GOES_IN)) * (minutes / Math.max(1, step.target));
  const [low, high] = step.step.core ?? [93, 97];
  const wanted = Math.log((BOILS - GOES_IN) / (BOILS - (low + high) / 2));
  return { heat, core: BOILS - (BOILS - GOES_IN) * Math.exp(-wanted * heat) };
}
