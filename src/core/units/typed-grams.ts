import type { ReaderUnits } from './reader';
import { weighText } from './weigh';

/**
 * Grams of an amount of dough as a baker types it: `640 g`, `1 lb 6 oz`; a bare number is in the unit that this reader
 * reads weights in. Null where it is no weight.
 */
export function typedGrams(
  text: string,
  { kitchen, mass }: Pick<ReaderUnits, 'kitchen' | 'mass'>,
): number | null {
  const weighed = weighText(text, { kitchen, name: '', density: null, bare: mass });
  return weighed.ok ? weighed.value.grams : null;
}
