import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { linesOf } from '@/core/formula/formula';
import { ALLERGENS, type Ingredient, INGREDIENT_KINDS } from '@/core/formula/ingredient';
import { json } from '../db/json';
import { currentFormulas } from '../store/formulas';
import { command, Refusal } from './command';
import { ingredientLike, markIngredientRemoved, writeIngredient } from '../store/ingredients';

const share = (what: string) =>
  Joi.number()
    .min(0)
    .max(1)
    .required()
    .messages({ '*': asText(coded('refusals.theShareOfLiesBetween0', { what })) });

/** What is said of an ingredient, as its page and files say it. */
const FACTS = {
  name: Joi.string()
    .trim()
    .lowercase()
    .min(2)
    .max(80)
    .required()
    .messages({ '*': asText(coded('refusals.anIngredientHasANameOf')) }),
  also: Joi.array()
    .items(Joi.string().trim().max(60))
    .max(60)
    .required()
    .messages({
      'array.max': asText(coded('refusals.anIngredientHasAtMost60')),
      '*': asText(coded('refusals.anotherNameHasAtMost60')),
    }),
  kind: Joi.string()
    .valid(...INGREDIENT_KINDS)
    .required()
    .messages({ '*': asText(coded('refusals.chooseWhatKindOfIngredientIt')) }),
  density: Joi.number()
    .min(0.05)
    .max(3)
    .allow(null)
    .required()
    .messages({
      '*': asText(coded('refusals.aDensityLiesBetween005')),
    }),
  water: share('water'),
  fat: share('fat'),
  sugar: share('sugar'),
  salt: share('salt'),
  flour: share('flour'),
  yeast: share('yeast'),
  heat: Joi.number()
    .min(0.5)
    .max(5)
    .required()
    .messages({ '*': asText(coded('refusals.aSpecificHeatLiesBetween0')) }),
  allergens: Joi.array()
    .items(Joi.string().valid(...ALLERGENS))
    .required()
    .messages({ '*': asText(coded('refusals.chooseFromTheFourteenAllergens')) }),
  allergensUnknown: Joi.valid(true),
  protein: Joi.number()
    .min(0)
    .max(30)
    .messages({ '*': asText(coded('refusals.proteinLiesBetween0And30')) }),
  strength: Joi.string().valid('weak', 'medium', 'strong'),
  note: Joi.string().trim().allow('').max(200),
};

/** An ingredient of a file. */
export const ingredientForm = Joi.object(FACTS);

const schema = Joi.object<Ingredient>({ id: Joi.string().max(60).allow('').required(), ...FACTS });

/** Adds an ingredient, or changes what the house knows of one. */
export const saveIngredient = command<Ingredient, { id: string }>({
  name: 'save-ingredient',
  schema,
  doughOf: () => null,
  async run({ db, audit }, { id: given, ...body }) {
    if (body.water + body.fat + body.sugar + body.salt + body.flour > 1 + 1e-9) {
      throw new Refusal(coded('refusals.waterFatSugarSaltAndFlour'), 'water');
    }
    const id = given || body.name.replace(/[^a-z0-9]+/g, '-').slice(0, 60);
    const twin = await ingredientLike(db, body.name, id);
    if (twin && twin.id !== given && !twin.removed) {
      throw new Refusal(coded('refusals.thereIsAnIngredientCalledAlready', { name: body.name }), 'name');
    }
    await writeIngredient(db, { ...body, id: twin?.id ?? id });
    const was = twin && !twin.removed ? json<Ingredient>(twin.body).allergens : null;
    await audit(coded('record.allergensOf', { ingredient: body.name }), was, body.allergens);
    return { id: twin?.id ?? id };
  },
});

/** Takes an ingredient out, unless a formula of today needs it; older versions still know it. */
export const removeIngredient = command<{ id: string }, { id: string }>({
  name: 'remove-ingredient',
  schema: Joi.object({ id: Joi.string().max(60).required() }),
  doughOf: () => null,
  async run({ db, now, audit }, { id }) {
    const users = (await currentFormulas(db)).filter(({ formula }) =>
      linesOf(formula).some(({ ingredient }) => ingredient === id),
    );
    if (users.length > 0) {
      const names = users.slice(0, 3).map(({ name }) => name);
      const more = users.length - names.length;
      throw new Refusal(coded('refusals.itIsUsedInTakeIt', { names: names.join(', '), more }), 'id');
    }
    if (!(await markIngredientRemoved(db, id, now)))
      throw new Refusal(coded('refusals.theHouseHasNoSuchIngredient'), 'id');
    await audit(coded('record.ingredient', { id }), { kept: true }, { kept: false });
    return { id };
  },
});
