import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import type { DoughChange } from '@/core/process/changes';
import { doughSize } from '@/core/process/expand';
import { productOn } from '@/core/process/product-on';
import { optionalSteps } from '@/core/process/left-out';
import {
  beginAlike,
  comesFromStock,
  endsAsDough,
  OUTPUT_WAYS,
  type OutputWay,
} from '@/core/process/output-way';
import { PROOF_SCHOOLS, type ProofSchool } from '@/core/process/proof-school';
import { proofedBy } from '@/core/process/proof-schools';
import { canShareDough } from '@/core/process/route';
import { MINUTE, parseLocal } from '@/core/time/local';
import { fromNow } from '@/words/from-now';
import { type Db, insertOnce } from '../db/rows';
import { sizes } from '../store/doughs';
import { type OutputToAdd, refuseNotKept } from './kept-enough';
import { house, houseSettings } from '../store/house';
import { currentProducts, type ProductVersion } from '../store/products';
import { searching } from '../searching';
import { command, type CommandContext, Refusal, type SearchContext, StaleBasis } from './command';
import { findPlace, type FoundPlace, type NewDough, takePlace } from './plan-dough';
import { lockBasis, lockPlan } from './plan-version';
import { clientId, localTime, pieces } from './schemas';
import {
  doughOfClient,
  doughsDueAt,
  insertOutput,
  namesBeginning,
  writeDough,
} from '../store/ordered-doughs';

interface DoughInput {
  clientId: string;
  outputs: { productId: number; pieces: number; due: string; way?: OutputWay }[];
  /** Steps that are left out of it, by their ids in the route. */
  without?: string[];
  /** By which school its pieces are proofed, where it is not the products' own. */
  school?: ProofSchool;
  /** Said once more, though the same dough is in the plan already. */
  again?: boolean;
  /** Late is better than not at all: ways out are looked for afterwards. */
  late?: boolean;
}

const schema = Joi.object<DoughInput>({
  clientId,
  outputs: Joi.array()
    .items(
      Joi.object({
        productId: Joi.number()
          .integer()
          .positive()
          .required()
          .messages({ '*': asText(coded('refusals.chooseAProductOfTheHouse')) }),
        pieces,
        due: localTime,
        way: Joi.string().valid(...OUTPUT_WAYS),
      }),
    )
    .min(1)
    .max(8)
    .required()
    .messages({
      'array.min': asText(coded('refusals.aDoughHasAtLeastOne')),
      'array.max': asText(coded('refusals.atMost8ProductsOutOf')),
      'any.required': asText(coded('refusals.aDoughHasAtLeastOne')),
    }),
  without: Joi.array().items(Joi.string().max(40)).max(40).unique(),
  school: Joi.string().valid(...PROOF_SCHOOLS),
  again: Joi.boolean(),
  late: Joi.boolean(),
});

/** A new dough, each output on its way. */
interface DoughToAdd extends NewDough {
  outputs: (NewDough['outputs'][number] & { way: OutputWay })[];
}

/** An output of a dough that is to be added. */
type Output = OutputToAdd & { whole: ProductVersion };

async function readOutputs(
  { db, now }: Pick<SearchContext, 'db' | 'now'>,
  input: DoughInput,
  zone: string,
): Promise<Output[]> {
  const products = await currentProducts(db);
  const daysAhead = (await houseSettings(db)).planDaysAhead;
  return input.outputs.map(({ productId, pieces, due, way = 'fresh' }, i) => {
    const product = products.find((p) => p.productId === productId);
    if (!product) throw new Refusal(coded('refusals.theHouseHasNoSuchProduct'), `outputs.${i}.productId`);
    const dueAt = parseLocal(due, zone);
    if (dueAt === null) throw new Refusal(coded('refusals.thatDayAndTimeDoesNot'), `outputs.${i}.due`);
    if (dueAt <= now)
      throw new Refusal(
        coded('refusals.hasPassedAlready', { time: { dayTime: dueAt, zone } }),
        `outputs.${i}.due`,
      );
    if (dueAt > now + daysAhead * 24 * 60 * MINUTE) {
      throw new Refusal(coded('refusals.thePlanReachesDaysAhead', { daysAhead }), `outputs.${i}.due`);
    }
    const proofed = proofedBy(input.school ?? null, product);
    return { product: productOn(way, proofed), whole: product, pieces, dueAt, way };
  });
}

async function refuseUnfit(db: Db, outputs: Output[]): Promise<void> {
  const [first] = outputs;
  outputs.forEach(({ product, whole, way }, i) => {
    if (first && !(canShareDough(first.whole, whole) && beginAlike(first.way, way))) {
      throw new Refusal(
        coded('refusals.comesFromAnotherDoughThanAdd', { name: product.name, name2: first.product.name }),
        `outputs.${i}.productId`,
      );
    }
  });
  // There is no dough of it to be mixed.
  if (comesFromStock(first?.way)) return;
  const [{ bowlKg, cutting }, settings] = await Promise.all([sizes(db), houseSettings(db)]);
  const most = settings.mostBowls * bowlKg;
  const size = doughSize(outputs, cutting);
  const kg = size.kg * (first?.product.mixed ?? 1);
  if (kg > most) {
    throw new Refusal(
      coded('refusals.thatIsOfDoughBeforeButter', {
        weight: { kg },
        value: settings.mostBowls,
        weight2: { kg: bowlKg },
      }),
      'outputs.0.pieces',
    );
  }
  const rolled = outputs.filter(({ way }) => !endsAsDough(way));
  if (
    first?.product.scheme &&
    !size.cut &&
    rolled.length > 0 &&
    rolled.every(({ product }) => product.piece.cut)
  )
    throw new Refusal(coded('refusals.noSheetThatThisHouseCan'), 'outputs.0.pieces');
}

/** Refuses a dough that stands in the plan already, unless it is said once more. */
async function refuseTwin({ db, now }: Pick<SearchContext, 'db' | 'now'>, outputs: Output[]): Promise<void> {
  const rows = await doughsDueAt(db, new Date(outputs[0]?.dueAt ?? 0));
  const own = outputs.map((o) => `${o.product.versionId}:${o.pieces}:${o.dueAt / 1000}:${o.way}`).join();
  const plain = (text: string) => text.replace(/\.000/g, '');
  const twin = rows.find((row) => plain(row.outputs) === own);
  if (!twin) return;
  const when = fromNow((twin.at.getTime() - now) / MINUTE);
  throw new Refusal(
    coded('refusals.isTheSameDoughAddedIt', { name: twin.name, by: twin.by, when }),
    'outputs',
    {
      again: true,
    },
  );
}

/** Numbers of a dough and its outputs while its place is looked for, above all that are given out. */
const PROVISIONAL = 4_000_000_000;

/** The next free name of its kind: "Crescent 40". */
async function nextName(db: Db, kind: string): Promise<string> {
  const names = await namesBeginning(db, kind);
  const nth = 1 + Math.max(0, ...names.map(({ name }) => Number(name.slice(kind.length + 1)) || 0));
  return `${kind} ${nth}`;
}

async function provisional(db: Db, outputs: Output[], changes: DoughChange[]): Promise<DoughToAdd> {
  const name = await nextName(db, outputs[0]?.product.doughName ?? 'Dough');
  const numbered = outputs.map((output, i) => ({ id: PROVISIONAL + i, ...output }));
  return { id: PROVISIONAL, name, outputs: numbered, changes };
}

/** Writes the dough down; returns its number and those that its outputs were given, by their provisional ones. */
async function insertDough(
  { db, person, now }: CommandContext,
  client: string,
  { outputs }: DoughToAdd,
): Promise<{ id: number; name: string; outputIds: Map<number, number> }> {
  const name = await nextName(db, outputs[0]?.product.doughName ?? 'Dough');
  const { id } = await writeDough(db, { client, name, now, personId: person.id });
  const outputIds = new Map<number, number>();
  for (const output of outputs) {
    const made = await insertOutput(db, {
      ...{ doughId: id, versionId: output.product.versionId },
      ...{ pieces: output.pieces, dueAt: output.dueAt, way: output.way },
    });
    outputIds.set(output.id, made.id);
  }
  return { id, name, outputIds };
}

/** A step's key with the number that its output was given: "4000000000.1.bake" to "17.1.bake". */
function keyOf(key: string, outputIds: ReadonlyMap<number, number>): string {
  const cut = key.indexOf('.');
  const given = cut < 0 ? undefined : outputIds.get(Number(key.slice(0, cut)));
  return given === undefined ? key : `${given}${key.slice(cut)}`;
}

/**
 * What is left out of a dough.
 *
 * @throws {Refusal} where it is a step that the products cannot do without
 */
function leftOut(outputs: readonly Output[], ids: readonly string[]): DoughChange[] {
  const known = new Set(outputs.flatMap(({ product }) => optionalSteps(product).map(({ id }) => id)));
  return ids.map((target) => {
    if (!known.has(target)) throw new Refusal(coded('refusals.cannotBeLeftOut'), 'without');
    return { kind: 'left-out', target };
  });
}

interface Found {
  /** The same form was sent before: this is what it made. */
  known?: { id: number; name: string };
  dough?: DoughToAdd;
  place?: FoundPlace;
}

async function madeBefore(db: Db, client: string): Promise<{ id: number; name: string } | null> {
  return doughOfClient(db, client);
}

/** Adds a dough and finds its place in the plan. The same client id again gives the dough it made. */
export const addDough = command<DoughInput, { id: number; name: string }, Found>({
  name: 'add-dough',
  schema,
  doughOf: (_, dough) => dough.id,
  async search(context, input) {
    const { db, now } = context;
    const known = await madeBefore(db, input.clientId);
    if (known) return { known };
    const { zone } = await house(db);
    const outputs = await readOutputs(context, input, zone);
    await refuseUnfit(db, outputs);
    await refuseNotKept(context, outputs);
    if (!input.again) await refuseTwin(context, outputs);
    return searching(context, async () => {
      const school = input.school ? [{ kind: 'proof-school' as const, target: input.school }] : [];
      const dough = await provisional(db, outputs, [...leftOut(outputs, input.without ?? []), ...school]);
      return { dough, place: await findPlace(db, dough, { now, late: input.late ?? false }) };
    });
  },
  async run(context, input, { dough, place }) {
    const { db, person, now } = context;
    await lockPlan(db);
    const known = await madeBefore(db, input.clientId);
    if (known) return known;
    if (!dough || !place) throw new StaleBasis();
    await lockBasis(db, place.basis);
    const { id, name, outputIds } = await insertDough(context, input.clientId, dough);
    for (const change of dough.changes ?? [])
      await insertOnce(db, 'dough_change', { dough_id: id, ...change });
    const steps = place.steps.map((step) => ({ ...step, key: keyOf(step.key, outputIds) }));
    await takePlace(
      db,
      id,
      { ...place, steps },
      { now, personId: person.id, reason: coded('reasons.added', { dough: name }) },
    );
    return { id, name };
  },
});
