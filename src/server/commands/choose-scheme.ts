import { coded, type Coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { forecastDough } from '@/core/forecast/forecast';
import { type Db } from '../db/rows';
import { conditions } from '../store/conditions';
import { doughById } from '../store/doughs';
import { currentProducts } from '../store/products';
import { doughsBehind } from '../store/schemes-behind';
import { currentSchemes } from '../store/schemes';
import { searching } from '../searching';
import { command, Refusal, type SearchContext } from './command';
import {
  type Basis,
  dropOtherSteps,
  lockBasis,
  lockPlan,
  movePlan,
  readBasis,
  type StepPlacement,
} from './plan-version';
import { findOpenPart } from './plan-open-part';
import { newProductVersion } from './product-version';
import { doughId } from './schemas';
import { makeByVersion } from '../store/ordered-doughs';

/**
 * Gives products another lamination scheme, each in a new version of its own. Products that share a dough are best given
 * it together; planned doughs keep the old one until they are told to follow.
 */
export const chooseScheme = command<{ productIds: number[]; schemeId: number }, { products: string[] }>({
  name: 'choose-scheme',
  schema: Joi.object({
    productIds: Joi.array()
      .items(Joi.number().integer().positive())
      .min(1)
      .required()
      .messages({ '*': asText(coded('refusals.chooseAtLeastOneProduct')) }),
    schemeId: Joi.number()
      .integer()
      .positive()
      .required()
      .messages({ '*': asText(coded('refusals.chooseAScheme')) }),
  }),
  doughOf: () => null,
  async run({ db, now }, { productIds, schemeId }) {
    await lockPlan(db);
    const scheme = (await currentSchemes(db)).find((one) => one.schemeId === schemeId);
    if (!scheme) throw new Refusal(coded('refusals.theHouseHasNoSuchScheme'), 'schemeId');
    const products = await currentProducts(db);
    const changed: string[] = [];
    for (const id of productIds) {
      const product = products.find(({ productId }) => productId === id);
      if (!product) throw new Refusal(coded('refusals.thereIsNoSuchProduct'), 'productIds');
      if (!product.scheme)
        throw new Refusal(coded('refusals.isNotLaminated', { name: product.name }), 'productIds');
      if (product.scheme.versionId === scheme.versionId) continue;
      await newProductVersion(db, id, { schemeVersionId: scheme.versionId, at: now });
      changed.push(product.name);
    }
    return { products: changed };
  },
});

interface SchemeSwitch {
  basis: Basis;
  name: string;
  to: Coded;
  versions: Map<number, number>;
  placed: StepPlacement[];
  /** All steps that it has by the new scheme, done ones too. */
  keys: string[];
}

/**
 * Lets a planned dough follow its products to the scheme they have today, as long as no butter is in it: its steps, their
 * times and its place in the plan.
 */
export const relaminateDough = command<{ doughId: number }, { name: string }, SchemeSwitch>({
  name: 'relaminate-dough',
  schema: Joi.object({ doughId }),
  doughOf: (input) => input.doughId,
  search: (context, { doughId: id }) => searching(context, () => relaminate(context, id)),
  async run({ db, now, person }, { doughId: id }, { basis, name, to, versions, placed, keys }) {
    await lockBasis(db, basis, [id]);
    const { refused } = await behindOf({ db, now }, id);
    if (refused) throw new Refusal(refused, 'doughId');
    for (const [outputId, versionId] of versions) await makeByVersion(db, outputId, versionId);
    const version = await movePlan(db, placed, {
      ...{ now, personId: person.id, reason: coded('reasons.laminated', { dough: name, scheme: to }) },
      // The dough has other steps from now on: earlier plans do not fit it any more.
      act: 'base',
    });
    await dropOtherSteps(db, version, id, keys);
    return { name };
  },
});

async function behindOf({ db, now }: { db: Db; now: number }, id: number) {
  const behind = (await doughsBehind(db, now)).find((one) => one.id === id);
  if (!behind) throw new Refusal(coded('refusals.thisDoughIsLaminatedAsIts'), 'doughId');
  return behind;
}

async function relaminate(context: SearchContext, id: number): Promise<SchemeSwitch> {
  const { db, now } = context;
  const basis = await readBasis(db);
  const { refused, outputs, from, to } = await behindOf(context, id);
  if (refused) throw new Refusal(refused, 'doughId');
  const versions = new Map(outputs.map(({ outputId, versionId }) => [outputId, versionId]));
  const dough = await doughById(db, id, { unplanned: now, versions });
  if (!dough) throw new Refusal(coded('refusals.thisDoughIsNotInThe'), 'doughId');
  const placed = await findOpenPart(
    context,
    { record: dough, forecast: forecastDough(dough, await conditions(db, now), now) },
    coded('refusals.noPlaceWithTheStepsOf', { dough: dough.name, to, from }),
  );
  return { basis, name: dough.name, to, versions, placed, keys: dough.steps.map(({ key }) => key) };
}
