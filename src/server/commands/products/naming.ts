import Joi from 'joi';
import type { NamesByLanguage, ProductName } from '@/core/bakery/product-names';
import { coded } from '@/core/codes/coded';
import { LANGUAGES } from '@/words/message';
import { namesOfProduct, setProductNames } from '../../store/product-names';
import { command, Refusal } from '../command';

interface NamesInput {
  productId: number;
  names: NamesByLanguage;
}

const LONGEST = 60;
const name = Joi.string().trim().allow('').max(LONGEST).required();
const names = Joi.object<ProductName>({ one: name, many: name });

/** Calls a product by names of its own in some languages. An empty name is the product's own. */
export const nameProduct = command<NamesInput, null>({
  name: 'name-product',
  schema: Joi.object({
    productId: Joi.number().integer().positive().required(),
    names: Joi.object(Object.fromEntries(LANGUAGES.map((language) => [language, names]))).required(),
  }),
  doughOf: () => null,
  async run({ db, audit }, { productId, names: given }) {
    const before = await namesOfProduct(db, productId);
    if (!before) throw new Refusal(coded('refusals.thereIsNoSuchProduct'), 'productId');
    const kept = Object.fromEntries(
      Object.entries(given).filter(([, called]) => called && (called.one !== '' || called.many !== '')),
    );
    await setProductNames(db, productId, kept);
    await audit(coded('record.product', { product: before.name }), before.names, kept);
    return null;
  },
});
