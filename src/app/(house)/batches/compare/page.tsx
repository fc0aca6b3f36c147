import Joi from 'joi';
import { pool } from '@/server/db/pool';
import { sideBySide } from '@/server/side-by-side';
import { housePage } from '@/server/house-page';
import { house } from '@/server/store/house';
import { CompareView } from '@/ui/compare/compare-view';
import { WordsOf } from '@/app/words-of';
import { titled } from '../../../titled';

export const generateMetadata = titled('titles.compare');

/** More columns than this are not read side by side. */
const MOST = 6;

interface Asked {
  dough: number[];
  product?: number;
}

const id = Joi.number().integer().positive();
const schema = Joi.object<Asked>({ dough: Joi.array().items(id).single().max(60).default([]), product: id });

type Search = { searchParams: Promise<Record<string, string | string[] | undefined>> };

export default async function ComparePage({ searchParams }: Search) {
  const { now } = await housePage('/batches/compare');
  // An address that asks for what cannot be compares nothing, and says how to choose.
  const { value, error } = schema.validate(await searchParams) as { value?: Asked; error?: Error };
  const { dough, product }: Asked = error || !value ? { dough: [] } : value;
  const [{ zone }, compared] = await Promise.all([
    house(pool()),
    sideBySide(pool(), { doughs: dough.slice(0, MOST), product, now }),
  ]);
  return (
    <WordsOf
      areas={[
        'batch',
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
        'thread',
        'turns',
      ]}
    >
      <CompareView {...{ compared, zone, now }} />
    </WordsOf>
  );
}
