import Joi from 'joi';
import { houseDrifts } from '@/core/diagnosis/trends';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { learntTimes } from '@/server/learnt-times';
import { batchSummaries } from '@/server/store/batch-summaries';
import { house, houseSettings, machines, people } from '@/server/store/house';
import { productNames } from '@/server/store/products';
import { WordsOf } from '@/app/words-of';
import { TrendsView } from '@/ui/trends/trends-view';
import { titled } from '../../titled';

export const generateMetadata = titled('titles.trends');

const DAY = 24 * 3_600_000;
const WEEK = 7 * DAY;

interface Asked {
  weeks: 4 | 13 | 52;
  product?: number;
}

const schema = Joi.object<Asked>({
  weeks: Joi.number().valid(4, 13, 52).default(4),
  product: Joi.number().integer().positive().empty(''),
});

type Search = { searchParams: Promise<Record<string, string | string[] | undefined>> };

export default async function TrendsScreen({ searchParams }: Search) {
  const { now } = await housePage('/trends');
  const db = pool();
  const { value, error } = schema.validate(await searchParams) as { value?: Asked; error?: Error };
  // What cannot be asked for shows what is shown to begin with.
  const { weeks, product }: Asked = error || !value ? { weeks: 4 } : value;
  const from = now - weeks * WEEK;
  const [{ zone }, { trendsByPerson }, { batches, left }, learnt, pools, everybody, products] =
    await Promise.all([
      ...([house(db), houseSettings(db), batchSummaries(db, { from, to: now }, { now })] as const),
      ...([learntTimes(db), machines(db), people(db), productNames(db)] as const),
    ]);
  const named = trendsByPerson >= 1;
  // Machines and mixes are watched by all that went through them.
  const shown = product === undefined ? batches : batches.filter(({ productId }) => productId === product);
  return (
    <WordsOf
      areas={[
        'causes',
        'compare',
        'cutting',
        'faults',
        'floor',
        'heat',
        'lamination',
        'names',
        'racks',
        'shaping',
        'steps',
        'trends',
        'turns',
      ]}
    >
      <TrendsView
        trends={{
          batches: shown.map((batch) => (named ? batch : { ...batch, mixedBy: null })),
          ...{ left, from, to: now, learnt },
          drifts: houseDrifts(batches),
          measured: pools
            .filter(({ kind }) => kind === 'oven' || kind === 'proofer')
            .map(({ id, label, capacity }) => ({ id, label, capacity })),
          machines: Object.fromEntries(pools.map(({ id, label }) => [id, label])),
          people: named ? Object.fromEntries(everybody.map(({ id, name }) => [id, name])) : {},
        }}
        asked={{ weeks, product: product ?? null }}
        {...{ products, zone }}
      />
    </WordsOf>
  );
}
