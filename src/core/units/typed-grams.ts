import type { ReaderUnits } from './reader';
import { weighText } from './weigh';

/**
 * Grams of an amount of dough as a baker types it: `640 g`, `1 lb 6 oz`; a bare number is in the unit that this reader
 * reads weights in. Null where it is no weight, `a little` and `to taste` among them.
 */
export function typedGrams(
  text: string,
  { kitchen, mass }: Pick<ReaderUnits, 'kitchen' | 'mass'>,
): number | null {
  const weighed = weighText(text, { kitchen, name: '', density: null, bare: mass });
  // “A little” is weighed as nothing in a formula, and is no weight in a field that asks for one.
  if (!weighed.ok || (weighed.value.grams === 0 && !/\d/.test(text))) return null;
  return weighed.value.grams;
}
