import type { Quantity } from '@/core/codes/coded';
import { clockTime } from '@/core/time/local';
import { duration, weight } from '@/core/units/format';
import {
  decimal,
  showCelsius,
  showDifference,
  showLength,
  showMass,
  type ReaderUnits,
} from '@/core/units/reader';
import type { Times } from './times';

/** Shows a quantity in a reader's units and language. */
export function shown(quantity: Quantity, units: ReaderUnits, times: Times): string {
  const tenths = (value: number) => decimal(String(Math.round(value * 10) / 10), units);
  if ('minutes' in quantity) return duration(quantity.minutes);
  if ('celsius' in quantity) return showCelsius(quantity.celsius, units);
  if ('difference' in quantity) return showDifference(quantity.difference, units);
  if ('kg' in quantity)
    return units.mass === 'oz' ? showMass(quantity.kg * 1000, units) : weight(quantity.kg, units);
  if ('grams' in quantity) return showMass(quantity.grams, units);
  if ('mm' in quantity) return showLength(quantity.mm, units);
  if ('cm' in quantity)
    return units.length === 'in' ? showLength(quantity.cm * 10, units) : `${tenths(quantity.cm)} cm`;
  if ('percent' in quantity) return `${tenths(quantity.percent)} %`;
  if ('clock' in quantity) return clockTime(quantity.clock, quantity.zone);
  if ('dayMonth' in quantity) return times.dayMonth(quantity.dayMonth, quantity.zone);
  return times.dayTime(quantity.dayTime, quantity.zone);
}
