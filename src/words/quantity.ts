import type { Quantity } from '@/core/codes/coded';
import { clockTime, dayTime } from '@/core/time/local';
import { duration, weight } from '@/core/units/format';
import { showCelsius, showDifference, showLength, showMass, type ReaderUnits } from '@/core/units/reader';

/** Shows a quantity in a reader's units. */
export function shown(quantity: Quantity, units: ReaderUnits): string {
  if ('minutes' in quantity) return duration(quantity.minutes);
  if ('celsius' in quantity) return showCelsius(quantity.celsius, units);
  if ('difference' in quantity) return showDifference(quantity.difference, units);
  if ('kg' in quantity)
    return units.mass === 'oz' ? showMass(quantity.kg * 1000, units) : weight(quantity.kg);
  if ('grams' in quantity) return showMass(quantity.grams, units);
  if ('mm' in quantity) return showLength(quantity.mm, units);
  if ('cm' in quantity)
    return units.length === 'in'
      ? showLength(quantity.cm * 10, units)
      : `${Math.round(quantity.cm * 10) / 10} cm`;
  if ('percent' in quantity) return `${Math.round(quantity.percent * 10) / 10} %`;
  if ('clock' in quantity) return clockTime(quantity.clock, quantity.zone);
  return dayTime(quantity.dayTime, quantity.zone);
}
