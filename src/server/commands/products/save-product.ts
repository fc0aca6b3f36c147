import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import type { ProductDraft } from '@/core/process/product-draft';
import type { Db } from '../../db/rows';
import {
  insertProductVersion,
  productById,
  productCalled,
  renameProduct,
  setProductRemoved,
  standingFor,
} from '../../store/product-versions';
import { command, Refusal } from '../command';
import { lockPlan } from '../plan-version';
import { draftSchema } from './draft-schema';
import { readProductDraft } from './drafted';
import { keepNewProduct } from './keep';

interface ProductInput {
  /** Null for a new product. */
  productId: number | null;
  /** The version that the edit began with; null for a new product. */
  from: number | null;
  draft: ProductDraft;
}

const id = Joi.number().integer().positive();

/** Keeps a product: a new one, or the next version of one. Doughs that are planned keep the version they were planned by. */
export const saveProduct = command<ProductInput, { productId: number; version: number }>({
  name: 'save-product',
  schema: Joi.object({
    productId: id.allow(null).required(),
    from: id.allow(null).required(),
    draft: draftSchema.required(),
  }),
  doughOf: () => null,
  async run({ db, now, person, audit }, { productId, from, draft }) {
    await lockPlan(db);
    const product = await readProductDraft(db, draft);
    const before = productId === null ? null : await newestOf(db, productId, from);
    await refuseTwin(db, product.name, productId);
    if (productId === null) {
      const made = await keepNewProduct(db, product, { at: now, personId: person.id });
      await audit(coded('record.product', { product: product.name }), null, { version: 1 });
      return { productId: made, version: 1 };
    }
    if (before && (before.name !== product.name || before.doughName !== product.doughName))
      await renameProduct(db, productId, product);
    const version = (before?.version ?? 0) + 1;
    await insertProductVersion(db, { ...product, productId, version, at: now, personId: person.id });
    await audit(coded('record.product', { product: product.name }), before && { version: before.version }, {
      version,
    });
    return { productId, version };
  },
});

async function newestOf(db: Db, productId: number, from: number | null) {
  const newest = await productById(db, productId);
  if (!newest) throw new Refusal(coded('refusals.thereIsNoSuchProduct'), 'name');
  if (newest.versionId !== from)
    throw new Refusal(
      coded('product.changedMeanwhile', { name: newest.name, by: newest.by ?? coded('refusals.somebody') }),
      'from',
      { newest: newest.versionId },
    );
  return newest;
}

async function refuseTwin(db: Db, name: string, productId: number | null): Promise<void> {
  const twin = await productCalled(db, name);
  if (twin && twin.id !== productId)
    throw new Refusal(
      coded(twin.isRemoved ? 'product.calledSoBefore' : 'product.calledSoAlready', { name }),
      'name',
    );
}

/** Takes a product out of use: it is offered nowhere any more; doughs of it are made as planned. */
export const removeProduct = command<{ productId: number; isRemoved: boolean }, { name: string }>({
  name: 'remove-product',
  schema: Joi.object({ productId: id.required(), isRemoved: Joi.boolean().required() }),
  doughOf: () => null,
  async run({ db, now, audit }, { productId, isRemoved }) {
    await lockPlan(db);
    const product = await productById(db, productId, { removedToo: true });
    if (!product) throw new Refusal(coded('refusals.thereIsNoSuchProduct'), 'productId');
    const ordered = isRemoved ? await standingFor(db, productId) : [];
    if (ordered.length > 0)
      throw new Refusal(
        coded('product.isOrderedEveryWeek', {
          name: product.name,
          by: ordered.map(({ customer }) => customer),
        }),
        'productId',
      );
    await setProductRemoved(db, productId, isRemoved ? now : null);
    await audit(coded('record.product', { product: product.name }), { isRemoved: !isRemoved }, { isRemoved });
    return { name: product.name };
  },
});
