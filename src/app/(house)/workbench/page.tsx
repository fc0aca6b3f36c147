import { titled } from '../../titled';
import { machinesOf } from '@/core/bakery/machines';
import { learnFromVerdicts } from '@/core/learning/verdicts';
import type { Rise, RisePhase } from '@/core/process/route';
import { pool } from '@/server/db/pool';
import { formulaPages } from '@/server/formula-pages';
import { housePage } from '@/server/house-page';
import { evidence, learntMixing, mixSubject, referenceSubject } from '@/server/store/evidence';
import { house, machines } from '@/server/store/house';
import { bowlTemperatures } from '@/server/store/mix';
import { places, todayOf } from '@/server/store/places';
import { productsAsSet } from '@/server/store/products';
import { WordsOf } from '@/app/words-of';
import type { LearntProduct } from '@/ui/workbench/proof-tool';
import { WorkbenchView } from '@/ui/workbench/workbench-view';

export const generateMetadata = titled('titles.workbench');

const LEVAIN: Rise = { yeast: 'levain', celsius: 22, minutes: 600, early: 0.85, late: 1.2 };

export default async function WorkbenchPage() {
  const { now } = await housePage('/workbench');
  const db = pool();
  const [{ named, ingredients, bowlGrams }, known, temperatures, products, references, { zone }] =
    await Promise.all([
      formulaPages(db),
      places(db, now),
      bowlTemperatures(db),
      productsAsSet(db),
      evidence(db, 'reference'),
      house(db),
    ]);
  const [mixer] = machinesOf('mixer', await machines(db));
  const mixing = await Promise.all(
    named.map(async ({ id }) => ({
      formulaId: id,
      ...(await learntMixing(db, mixSubject(mixer?.id ?? '', id))),
    })),
  );
  const today = todayOf(known);
  const learnt = products.map(({ productId, name, laminated, rises }): LearntProduct => ({
    ...{ productId, name, laminated },
    phases: (Object.entries(rises ?? {}) as [RisePhase, Rise][]).map(([phase, set]) => {
      const own = references.filter(({ subject }) => subject === referenceSubject(productId, phase));
      const counting = own.filter(({ declined }) => !declined);
      const { questioned, ...belief } = learnFromVerdicts(
        set.minutes,
        counting.flatMap(({ value, verdict }) => (verdict ? [{ minutes: value, verdict }] : [])),
      );
      const far = new Set(questioned.map((i) => counting[i]?.id));
      return {
        ...{ phase, set, learnt: belief },
        evidence: own.map(({ id, value, verdict, at, declined, dough }) => {
          return { id, minutes: value, verdict, at, declined, dough, questioned: far.has(id) };
        }),
      };
    }),
  }));
  return (
    <WordsOf
      areas={['cutting', 'formulas', 'heat', 'lamination', 'names', 'shaping', 'sheet', 'steps', 'workbench']}
    >
      <WorkbenchView
        formulas={named}
        {...{ ingredients, temperatures, bowlGrams, zone }}
        mixing={mixing}
        products={learnt}
        levain={products.find(({ rises }) => rises?.levain)?.rises?.levain ?? LEVAIN}
        places={known.map(({ id, label, kind, purpose, usual }) => ({
          ...{ id, label, kind, purpose },
          celsius: Math.round((today[id]?.celsius ?? usual) * 10) / 10,
        }))}
      />
    </WordsOf>
  );
}
