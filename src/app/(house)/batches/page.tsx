import { titled } from '../../titled';
import { coded } from '@/core/codes/coded';
import { asText, codedIn } from '@/words/as-text';
import { wordsHere } from '@/server/reader';
import Joi from 'joi';
import { addLocalDays, parseLocal } from '@/core/time/local';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { findBatches } from '@/server/store/batches';
import { house } from '@/server/store/house';
import { WordsOf } from '@/app/words-of';
import { type BatchFilter, BatchList } from '@/ui/batch/batch-list';

export const generateMetadata = titled('titles.batches');

const day = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}$/)
  .messages({ '*': asText(coded('refusals.giveADaySuchAs2026')) });

const schema = Joi.object<BatchFilter>({
  product: Joi.string().max(60),
  from: day,
  to: day,
  mark: Joi.string()
    .valid('2', '3', '4')
    .messages({ '*': asText(coded('refusals.marksAreAtMost23')) }),
  word: Joi.string()
    .max(60)
    .messages({ '*': asText(coded('refusals.aWordHasAtMost60')) }),
});

type Search = { searchParams: Promise<Record<string, string | string[] | undefined>> };

export default async function BatchesPage({ searchParams }: Search) {
  const { now } = await housePage('/batches');
  const db = pool();
  const { zone } = await house(db);
  // An empty field asks for nothing.
  const given = Object.fromEntries(Object.entries(await searchParams).filter(([, value]) => value !== ''));
  const { value, error } = schema.validate(given) as { value?: BatchFilter; error?: Error };
  const asked: BatchFilter = error ? {} : (value ?? {});
  const fault = error && codedIn(error.message);
  const trouble = fault ? (await wordsHere()).coded(coded('refusals.allBatchesAreShown', { fault })) : null;
  const at = (text: string | undefined) =>
    text ? (parseLocal(`${text}T00:00`, zone) ?? undefined) : undefined;
  const [from, to] = [at(asked.from), at(asked.to)];
  const lines = await findBatches(db, now, {
    ...(asked.product && { product: asked.product }),
    ...(asked.word && { word: asked.word }),
    ...(asked.mark && { mark: Number(asked.mark) }),
    ...(from !== undefined && { from }),
    ...(to !== undefined && { to: addLocalDays(to, 1, zone) }),
  });
  return (
    <WordsOf
      areas={['batch', 'cutting', 'floor', 'heat', 'lamination', 'names', 'racks', 'shaping', 'steps']}
    >
      <BatchList {...{ lines, asked, zone }} trouble={trouble} />
    </WordsOf>
  );
}
