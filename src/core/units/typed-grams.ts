import { readAmount, weigh } from './amount';
import type { ReaderUnits } from './reader';

/** Grams of an amount of dough as a baker types it: `640 g`, `1 lb 6 oz`. Null where it is no weight. */
export function typedGrams(text: string, { kitchen }: Pick<ReaderUnits, 'kitchen'>): number | null {
  const amount = readAmount(text);
  if (!amount.ok) return null;
  const weighed = weigh(amount.value, { kitchen, eggs: 'M', name: '', density: null });
  return weighed.ok ? weighed.value.grams : null;
}
