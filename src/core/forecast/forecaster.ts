import type { DoughRecord } from '../record/dough';
import { MINUTE, type Instant } from '../time/local';
import type { Conditions } from './conditions';
import { forecastDough, type DoughForecast } from './forecast';

/** Forecasts doughs, and remembers the last forecast of each: an event touches its own dough alone. */
export type Forecaster = (
  doughs: readonly DoughRecord[],
  conditions: Conditions,
  now: Instant,
) => DoughForecast[];

/**
 * Makes a forecaster. A dough is forecast anew when its facts, the conditions or the minute have changed; facts that are
 * the same object are the same facts.
 *
 * @example
 * const forecast = createForecaster();
 * forecast(doughs, conditions, now)[0] === forecast(doughs, conditions, now)[0]; // true
 */
export function createForecaster(): Forecaster {
  const known = new Map<number, { facts: DoughRecord; forecast: DoughForecast }>();
  let seen: { conditions: Conditions; minute: number } | null = null;
  return (doughs, conditions, now) => {
    const minute = Math.floor(now / MINUTE);
    if (seen?.conditions !== conditions || seen.minute !== minute) known.clear();
    seen = { conditions, minute };
    return doughs.map((facts) => {
      const before = known.get(facts.id);
      if (before?.facts === facts) return before.forecast;
      const forecast = forecastDough(facts, conditions, now);
      known.set(facts.id, { facts, forecast });
      return forecast;
    });
  };
}
