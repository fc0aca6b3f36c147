import type { RouteStep } from './route';

/** A step with its place in time, minutes. */
export interface PlacedStep {
  step: Pick<RouteStep, 'gives' | 'around' | 'settling'>;
  start: number;
  end: number;
}

export interface TracePoint {
  minute: number;
  celsius: number;
}

/**
 * The temperature of a dough along its placed steps, for its thread: within each step it approaches what is around
 * it as a body of uniform temperature does, `T = around + (T0 - around) * exp(-t / settling)` (Newton's law of
 * cooling). A picture of the day, not a core temperature. Steps in order of time; a gap counts as the step before it.
 */
export function temperatureTrace(
  steps: readonly PlacedStep[],
  startCelsius: number,
  every = 15,
): TracePoint[] {
  const points: TracePoint[] = [];
  let celsius = startCelsius;
  steps.forEach(({ step, start, end }, i) => {
    const until = Math.max(end, steps[i + 1]?.start ?? end);
    if (step.gives !== undefined) celsius = step.gives;
    const from = celsius;
    const at = (minute: number) =>
      step.around + (from - step.around) * Math.exp(-(minute - start) / step.settling);
    for (let minute = start; minute < until; minute += every) points.push({ minute, celsius: at(minute) });
    celsius = at(until);
    points.push({ minute: until, celsius });
  });
  return points;
}
