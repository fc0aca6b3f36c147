import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { Fault } from '@/core/codes/fault';
import { readRecipeText } from '@/core/recipe/read-recipe';
import { recipeProduct, type RecipeProduct } from '@/core/recipe/recipe-product';
import { LONGEST_RECIPE } from '@/core/recipe/recipe-text';
import { openAsks } from '@/core/recipe/open-asks';
import { KITCHENS, type Kitchen } from '@/core/units/measures';
import { asText } from '@/words/as-text';
import { wordsIn } from '@/words/compile';
import type { Language } from '@/words/message';
import type { Db } from '../../db/rows';
import { recipeHouse } from '../../recipe-house';
import { takeProduct } from '../../setup/take-product';
import { currentFormulas } from '../../store/formulas';
import { productCalled } from '../../store/product-versions';
import { command, Refusal } from '../command';
import { lockPlan } from '../plan-version';

interface RecipeInput {
  text: string;
  name: string;
  kitchen: Kitchen;
  /** Parts of the text that a person has looked at, and keeps as they were read. */
  settled: string[];
}

/** Makes a product of a recipe's text, with its formula and its way to laminate: all of it, or nothing. */
export const takeRecipe = command<RecipeInput, { productId: number }>({
  name: 'take-recipe',
  schema: Joi.object({
    text: Joi.string()
      .max(LONGEST_RECIPE)
      .required()
      .messages({ '*': asText(coded('recipe.tooLong', { most: LONGEST_RECIPE })) }),
    name: Joi.string()
      .trim()
      .min(2)
      .max(60)
      .required()
      .messages({ '*': asText(coded('product.nameOf2To80')) }),
    kitchen: Joi.string()
      .valid(...KITCHENS.map(({ id }) => id))
      .required(),
    settled: Joi.array().items(Joi.string().max(400)).max(100).required(),
  }),
  doughOf: () => null,
  async run({ db, now, person, language, audit }, { text, name, kitchen, settled }) {
    await lockPlan(db);
    await refuseTaken(db, name);
    const { file } = await productOf(db, { text, name, kitchen, settled }, language);
    const productId = await takeProduct(db, file, name, { at: now, personId: person.id });
    if (productId === null) throw new Refusal(coded('product.calledSoAlready', { name }), 'name');
    await audit(coded('record.product', { product: name }), null, { version: 1 });
    return { productId };
  },
});

/** A product or formula of that name would lend the new one what it is not. */
async function refuseTaken(db: Db, name: string): Promise<void> {
  const [twin, formulas] = await Promise.all([productCalled(db, name), currentFormulas(db)]);
  if (twin)
    throw new Refusal(
      coded(twin.isRemoved ? 'product.calledSoBefore' : 'product.calledSoAlready', { name }),
      'name',
    );
  if (formulas.some((one) => one.name.toLowerCase() === name.toLowerCase()))
    throw new Refusal(coded('recipe.formulaCalledSo', { name }), 'name');
}

async function productOf(
  db: Db,
  { text, name, kitchen, settled }: RecipeInput,
  language: Language,
): Promise<RecipeProduct> {
  const house = await recipeHouse(db, kitchen);
  try {
    const reading = readRecipeText(text, house);
    const open = openAsks(reading, settled);
    if (open.length > 0) throw new Fault(coded('recipe.questionsOpen', { count: open.length }));
    return recipeProduct(reading, { name, book: house.book, say: wordsIn(language).coded });
  } catch (error) {
    if (error instanceof Fault) throw new Refusal(error.fault, 'text');
    throw error;
  }
}
