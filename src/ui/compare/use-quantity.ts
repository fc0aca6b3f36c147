import type { Quantity } from '@/core/codes/coded';
import { shown } from '@/words/quantity';
import { useUnits } from '../live/units';

/** Shows a quantity in the units of whoever reads this screen. */
export function useQuantity(): (quantity: Quantity) => string {
  const [units] = useUnits();
  return (quantity) => shown(quantity, units);
}
