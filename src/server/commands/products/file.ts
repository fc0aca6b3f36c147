import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { inTodaysForm } from '@/core/exchange/first-products';
import type { ProductsFile } from '@/core/exchange/products-file';
import { asText } from '@/words/as-text';
import { takeProduct } from '../../setup/take-product';
import { check } from '../check';
import { readJsonFile } from './json-file';
import { command, Refusal } from '../command';
import { lockPlan } from '../plan-version';
import { productsFile } from './file-schema';

/** Longest file of products that is read, characters: some sixty products. */
export const LONGEST_PRODUCTS = 220_000;

/**
 * Reads a file of products.
 *
 * @throws {Refusal} where it is no such file, or a part of it cannot be read, with the line that it stands in
 */
export function readProductsText(text: string): ProductsFile {
  return readJsonFile(text, (raw) => check(productsFile, inTodaysForm(raw)));
}

/** Takes products from a file over, with their formulas and ways to laminate: all of them, or none. */
export const takeProducts = command<{ text: string; names: string[] }, { products: number }>({
  name: 'take-products',
  schema: Joi.object({
    text: Joi.string()
      .max(LONGEST_PRODUCTS)
      .required()
      .messages({ '*': asText(coded('product.fileTooLong')) }),
    names: Joi.array()
      .items(Joi.string().max(200))
      .min(1)
      .max(60)
      .required()
      .messages({ '*': asText(coded('refusals.chooseAtLeastOneProduct')) }),
  }),
  doughOf: () => null,
  async run({ db, now, person, audit }, { text, names }) {
    await lockPlan(db);
    const file = readProductsText(text);
    for (const name of names) {
      if ((await takeProduct(db, file, name, { at: now, personId: person.id })) === null)
        throw new Refusal(coded('product.notInTheFile', { name }), 'names');
      await audit(coded('record.product', { product: name }), null, { taken: true });
    }
    return { products: names.length };
  },
});
