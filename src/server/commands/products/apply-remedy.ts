import Joi from 'joi';
import { v7 as uuidv7 } from 'uuid';
import { coded } from '@/core/codes/coded';
import { CAUSE_IDS, type CauseId } from '@/core/diagnosis/causes';
import { remedied, remedyFor, remedyWords } from '@/core/diagnosis/remedy';
import { batchTrace } from '@/core/diagnosis/trace';
import { wordsIn } from '@/words/compile';
import { batchTemperatures } from '../../store/batch-temperatures';
import { productOfOutput } from '../../store/batches';
import { doughById } from '../../store/doughs';
import { insertProductVersion, productById } from '../../store/product-versions';
import { productAsKept } from '../../store/products';
import { currentSchemes } from '../../store/schemes';
import { laminatedBy } from '../../products-now';
import { command, Refusal } from '../command';
import { lockPlan } from '../plan-version';
import { keepSchemeVersion } from '../scheme-version';

interface RemedyInput {
  doughId: number;
  outputId: number;
  cause: CauseId;
  /** The version of the product that was looked at. */
  from: number;
}

const id = Joi.number().integer().positive().required();

/** Takes what a cause asks for into the next version of its product. Doughs that are planned keep theirs until they follow. */
export const applyRemedy = command<RemedyInput, { productId: number; version: number }>({
  name: 'apply-remedy',
  schema: Joi.object<RemedyInput>({
    doughId: id,
    outputId: id,
    cause: Joi.string()
      .valid(...CAUSE_IDS)
      .required(),
    from: id,
  }),
  doughOf: () => null,
  async run(context, { doughId, outputId, cause, from }) {
    const { db, now, person, audit } = context;
    await lockPlan(db);
    const dough = await doughById(db, doughId);
    const productId = (await productOfOutput(db, [outputId])).get(outputId);
    const newest = productId === undefined ? null : await productById(db, productId);
    const kept = productId === undefined ? null : await productAsKept(db, productId);
    if (
      !dough?.outputs.some((output) => output.id === outputId) ||
      !newest ||
      !kept ||
      productId === undefined
    )
      throw new Refusal(coded('refusals.thereIsNoSuchProduct'));
    if (newest.versionId !== from)
      throw new Refusal(
        coded('product.changedMeanwhile', { name: newest.name, by: newest.by ?? coded('refusals.somebody') }),
        'from',
      );
    const { formulaVersionId, schemeVersionId, ...body } = kept;
    const trace = batchTrace(dough, outputId, await batchTemperatures(db, dough, now));
    const scheme = laminatedBy(await currentSchemes(db), schemeVersionId, productId);
    const remedy = remedyFor(cause, trace, { ...body, scheme });
    if (!remedy) throw new Refusal(coded('refusals.nothingOfTheProductToChange'), 'cause');
    const say = wordsIn(context.language);
    const version = newest.version + 1;
    const { scheme: laminated, ...product } = remedied({ ...body, scheme }, remedy, say.coded);
    if (remedy.kind === 'scheme' && laminated)
      await keepSchemeVersion(context, { clientId: uuidv7(), scheme: laminated.scheme }, laminated);
    else
      await insertProductVersion(db, {
        ...{ productId, version, formulaVersionId, schemeVersionId, at: now, personId: person.id },
        body: product,
      });
    await audit(
      coded('record.product', { product: newest.name }),
      { version: newest.version },
      {
        version,
        why: say.coded(remedyWords(remedy)),
      },
    );
    return { productId, version };
  },
});
