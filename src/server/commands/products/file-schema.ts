import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { PRODUCTS_FORMAT, type ProductsFile } from '@/core/exchange/products-file';
import { STAGE_KINDS } from '@/core/formula/formula';
import { BRANCH_KINDS } from '@/core/process/route';
import { asText } from '@/words/as-text';
import { schemeForm } from '../save-scheme';
import { gap, number, oneOf, pieceWith, rises, step, text } from './draft-schema';

const formula = Joi.object({
  name: text(80),
  doughCelsius: Joi.number().allow(null).required(),
  stages: Joi.array()
    .max(20)
    .items(
      Joi.object({
        kind: oneOf(STAGE_KINDS).required(),
        lines: Joi.array()
          .max(120)
          .items(Joi.object({ ingredient: text(80), percent: number, note: Joi.string().max(200) }))
          .required(),
      }),
    )
    .required(),
});

const threads = Joi.array()
  .max(12)
  .items(
    Joi.object({
      ...{ branch: oneOf(BRANCH_KINDS), joins: Joi.string().max(40), gap },
      steps: Joi.array().max(40).items(step.append({ gap })).required(),
    }),
  )
  .required();

const nameIn = (one: Record<string, unknown>, key: string) => {
  const { [key]: name } = one;
  return typeof name === 'string' ? name.toLowerCase() : name;
};

/** A list in which no name comes twice, however it is written. */
export const ofOneName = (key = 'name') =>
  Joi.array()
    .max(60)
    .unique((a: Record<string, unknown>, b: Record<string, unknown>) => nameIn(a, key) === nameIn(b, key))
    .messages({ 'array.unique': asText(coded('product.nameTwiceInFile')) });

/** Formulas, ways to laminate and products, as files have them. */
export const productsParts = () => ({
  formulas: ofOneName().items(formula).required(),
  schemes: ofOneName()
    .items(Joi.object({ name: text(80), scheme: schemeForm.required() }))
    .required(),
  products: ofOneName()
    .items(
      Joi.object({
        ...{ about: Joi.string().max(200), name: text(200), doughName: text(200), formula: text(80) },
        scheme: Joi.string().max(80).allow(null).required(),
        ...{ piece: pieceWith({ formula: Joi.string().max(80) }).required(), freshFor: number },
        lateness: Joi.number(),
        ...{ rises, dough: threads, output: threads, fork: gap },
      }),
    )
    .required(),
});

/** The form of a file of products; what is in it is judged as a product of the editor is. */
export const productsFile = Joi.object<ProductsFile>({
  format: Joi.valid(PRODUCTS_FORMAT)
    .required()
    .messages({ '*': asText(coded('product.fileOfAnotherKind', { format: PRODUCTS_FORMAT })) }),
  ...productsParts(),
});

/** The same form as a JSON Schema, for whoever writes such files; published as `/schemas/products.schema.json`. */
export const publishedSchema = (): object => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'https://hefeteig.invalid/schemas/products.schema.json',
  title: 'Products',
  description:
    'Products with their formulas and ways to laminate. Minutes, °C, grams, millimetres of thickness, centimetres along a sheet. Formulas in baker’s percent, ingredients by name. The first thread of a route leads to its end; others join a step of it.',
  ...productsFile['~standard'].jsonSchema.input({ target: 'draft-2020-12' }),
});
