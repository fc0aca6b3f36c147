import Joi from 'joi';
import { write, type Db } from '../db/rows';
import { doughById } from '../queries/doughs';
import { currentProducts } from '../queries/products';
import { doughsBehind } from '../queries/schemes-behind';
import { currentSchemes } from '../queries/schemes';
import { command, Refusal } from './command';
import { lockPlan } from './plan-version';
import { planOpenPart } from './plan-open-part';
import { newProductVersion } from './product-version';
import { doughId } from './schemas';

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
      .messages({ '*': 'Choose at least one product.' }),
    schemeId: Joi.number().integer().positive().required().messages({ '*': 'Choose a scheme.' }),
  }),
  roles: ['planner'],
  doughOf: () => null,
  async run({ db, now }, { productIds, schemeId }) {
    await lockPlan(db);
    const scheme = (await currentSchemes(db)).find((one) => one.schemeId === schemeId);
    if (!scheme) throw new Refusal('The house has no such scheme.', 'schemeId');
    const products = await currentProducts(db);
    const changed: string[] = [];
    for (const id of productIds) {
      const product = products.find(({ productId }) => productId === id);
      if (!product) throw new Refusal('There is no such product.', 'productIds');
      if (!product.scheme) throw new Refusal(`${product.name} is not laminated.`, 'productIds');
      if (product.scheme.versionId === scheme.versionId) continue;
      await newProductVersion(db, id, { schemeVersionId: scheme.versionId, at: now });
      changed.push(product.name);
    }
    return { products: changed };
  },
});

/**
 * Lets a planned dough follow its products to the scheme they have today, as long as no butter is in it: its steps, their
 * times and its place in the plan.
 */
export const relaminateDough = command<{ doughId: number }, { name: string }>({
  name: 'relaminate-dough',
  schema: Joi.object({ doughId }),
  roles: ['planner'],
  doughOf: (input) => input.doughId,
  async run(context, input) {
    const { db, now } = context;
    await lockPlan(db);
    const behind = (await doughsBehind(db, now)).find(({ id }) => id === input.doughId);
    if (!behind) throw new Refusal('This dough is laminated as its products are today.', 'doughId');
    if (behind.refused) throw new Refusal(behind.refused, 'doughId');
    for (const { outputId, versionId } of behind.outputs) {
      await write(db, 'UPDATE dough_output SET product_version_id = ? WHERE id = ?', [versionId, outputId]);
    }
    const dough = await doughById(db, input.doughId, { unplanned: now });
    if (!dough) throw new Refusal('This dough is not in the plan any more.', 'doughId');
    await planOpenPart(context, dough, {
      reason: `${dough.name} laminated ${behind.to}`,
      // The dough has other steps from now on: earlier plans do not fit it any more.
      act: 'base',
      nothing: `${dough.name} finds no place in the plan with the steps of ${behind.to}; it keeps ${behind.from}.`,
    });
    await dropGone(
      context.db,
      dough.id,
      dough.steps.map(({ key }) => key),
    );
    return { name: dough.name };
  },
});

/** Steps that the scheme no longer has leave the newest plan. */
async function dropGone(db: Db, dough: number, keys: readonly string[]): Promise<void> {
  await write(
    db,
    `DELETE FROM planned_step WHERE plan_version_id = (SELECT MAX(id) FROM plan_version) AND dough_id = ? AND step_key NOT IN (?)`,
    [dough, keys],
  );
}
