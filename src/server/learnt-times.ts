import type { Pool } from 'mysql2/promise';
import { improvement } from '@/core/learning/improved';
import type { Rise, RisePhase } from '@/core/process/route';
import type { LearntTime } from '@/core/wire/trends';
import { evidence, judgedWaits, referenceSubject } from './store/evidence';
import { productsAsSet } from './store/products';

/** Every rise of which enough has been learnt to see what it was good for, the largest gain first. */
export async function learntTimes(db: Pool): Promise<LearntTime[]> {
  const [products, all] = await Promise.all([productsAsSet(db), evidence(db, 'reference')]);
  const found = products.flatMap(({ productId, name, rises }) =>
    (Object.entries(rises ?? {}) as [RisePhase, Rise][]).flatMap(([phase, { minutes }]): LearntTime[] => {
      const gain = improvement(minutes, judgedWaits(all, referenceSubject(productId, phase)));
      return gain ? [{ product: name, phase, ...gain }] : [];
    }),
  );
  return found.sort((a, b) => b.offWritten - b.offLearnt - (a.offWritten - a.offLearnt));
}
