import Joi from 'joi';
import type { Pool } from 'mysql2/promise';
import { coded } from '@/core/codes/coded';
import type { Person } from '@/core/bakery/people';
import { CREW, doughSize } from '@/core/process/expand';
import type { ProductDraft } from '@/core/process/product-draft';
import { MINUTE, parseLocal } from '@/core/time/local';
import type { ProductTrial } from '@/core/wire/product-trial';
import { check } from './commands/check';
import { Refusal } from './commands/command';
import { findPlace } from './commands/plan-dough';
import { draftSchema } from './commands/products/draft-schema';
import { readProductDraft } from './commands/products/drafted';
import { localTime, pieces } from './commands/schemas';
import { searching } from './searching';
import { houseNow } from './store/clock';
import { sizes } from './store/doughs';
import { house, machines } from './store/house';
import { productToTry, type ProductVersion } from './store/products';

interface TrialInput {
  draft: ProductDraft;
  pieces: number;
  due: string;
}

const schema = Joi.object<TrialInput>({ draft: draftSchema.required(), pieces, due: localTime });

/** Above all numbers that are given out: the batch is nobody's. */
const PROVISIONAL = 4_000_000_000;

/**
 * Plans a batch of a product that may not be kept yet amid all others, and writes nothing. Where it cannot be ready in time,
 * it is ready as soon as it can be.
 *
 * @throws {Refusal} with the place of what is wrong with the product, or the step that finds no hands or machine
 */
export async function tryProduct(db: Pool, person: Person, raw: unknown): Promise<ProductTrial> {
  const input = check(schema, raw);
  const now = await houseNow(db);
  const dueAt = parseLocal(input.due, (await house(db)).zone);
  if (dueAt === null) throw new Refusal(coded('refusals.thatDayAndTimeDoesNot'), 'due');
  if (dueAt <= now) throw new Refusal(coded('product.thatHasPassed'), 'due');
  const product = await productToTry(db, await readProductDraft(db, input.draft));
  await refuseUncuttable(db, product, input.pieces);
  const output = { id: PROVISIONAL, product, pieces: input.pieces, dueAt };
  const dough = { id: PROVISIONAL, name: product.name, outputs: [output] };
  const place = await searching({ db, person }, () => findPlace(db, dough, { now, late: true }));
  return trialOf(place, await namesOf(db), dueAt);
}

async function refuseUncuttable(db: Pool, product: ProductVersion, count: number): Promise<void> {
  if (!product.scheme || !product.piece.cut) return;
  const { cutting } = await sizes(db);
  if (!doughSize([{ product, pieces: count }], cutting).cut)
    throw new Refusal(coded('refusals.noSheetThatThisHouseCan'), 'piece');
}

async function namesOf(db: Pool): Promise<ReadonlyMap<string, string>> {
  return new Map((await machines(db)).map(({ id, label }) => [id, label]));
}

function trialOf(
  { steps: placed, expanded }: Awaited<ReturnType<typeof findPlace>>,
  names: ReadonlyMap<string, string>,
  dueAt: number,
): ProductTrial {
  const times = new Map(placed.map((step) => [step.key, step]));
  const steps = expanded.steps
    .map(({ key, label, uses, around, step }) => {
      const { start = 0, end = 0, machines: chosen = [] } = times.get(key) ?? {};
      const people = uses.find(({ resource }) => resource === CREW)?.amount ?? 0;
      const fixed = uses.flatMap(({ resource, among }) => (resource === CREW || among ? [] : [resource]));
      const on = [...new Set([...fixed, ...chosen])].flatMap((id) => names.get(id) ?? []);
      const { branch = null } = step;
      return { key, label, start, end, people, celsius: around, branch, machines: on };
    })
    .sort((a, b) => a.start - b.start || a.end - b.end);
  const ready = Math.max(...expanded.ready.map(({ key }) => times.get(key)?.end ?? 0));
  return {
    ...{ steps, ready, start: Math.min(...steps.map(({ start }) => start)) },
    late: Math.max(0, Math.round((ready - dueAt) / MINUTE)),
    ...{ kg: expanded.kg, bowls: expanded.bowls },
    hands: steps.reduce((sum, { start, end, people }) => sum + ((end - start) / MINUTE) * people, 0),
  };
}
