import Joi from 'joi';
import { linesOf } from '@/core/formula/formula';
import { ALLERGENS, INGREDIENT_KINDS, type Ingredient } from '@/core/formula/ingredient';
import { json } from '../db/json';
import { rowsOf, write } from '../db/rows';
import { currentFormulas } from '../store/formulas';
import { command, Refusal } from './command';

const share = (what: string) =>
  Joi.number()
    .min(0)
    .max(1)
    .required()
    .messages({ '*': `The share of ${what} lies between 0 and 100 %.` });

const schema = Joi.object<Ingredient>({
  id: Joi.string().max(60).allow('').required(),
  name: Joi.string()
    .trim()
    .lowercase()
    .min(2)
    .max(80)
    .required()
    .messages({ '*': 'An ingredient has a name of 2 to 80 characters.' }),
  also: Joi.array().items(Joi.string().trim().max(60)).max(60).required().messages({
    'array.max': 'An ingredient has at most 60 other names.',
    '*': 'Another name has at most 60 characters.',
  }),
  kind: Joi.string()
    .valid(...INGREDIENT_KINDS)
    .required()
    .messages({ '*': 'Choose what kind of ingredient it is.' }),
  density: Joi.number().min(0.05).max(3).allow(null).required().messages({
    '*': 'A density lies between 0.05 and 3 g/ml; leave it empty if nobody measures it by volume.',
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
    .messages({ '*': 'A specific heat lies between 0.5 and 5 kJ/kg·K; water has 4.19, flour 1.8.' }),
  allergens: Joi.array()
    .items(Joi.string().valid(...ALLERGENS))
    .required()
    .messages({ '*': 'Choose from the fourteen allergens.' }),
  allergensUnknown: Joi.valid(true),
  protein: Joi.number().min(0).max(30).messages({ '*': 'Protein lies between 0 and 30 %.' }),
  strength: Joi.string().valid('weak', 'medium', 'strong'),
  note: Joi.string().trim().allow('').max(200),
});

/** Adds an ingredient, or changes what the house knows of one. */
export const saveIngredient = command<Ingredient, { id: string }>({
  name: 'save-ingredient',
  schema,
  doughOf: () => null,
  async run({ db, audit }, { id: given, ...body }) {
    if (body.water + body.fat + body.sugar + body.salt + body.flour > 1 + 1e-9) {
      throw new Refusal('Water, fat, sugar, salt and flour together are more than the whole.', 'water');
    }
    const id = given || body.name.replace(/[^a-z0-9]+/g, '-').slice(0, 60);
    const [twin] = await rowsOf<{ id: string; removed: number; body: unknown }>(
      db,
      'SELECT id, removed_at IS NOT NULL AS removed, body FROM ingredient WHERE name = ? OR id = ? ORDER BY id = ? DESC',
      [body.name, id, id],
    );
    if (twin && twin.id !== given && !twin.removed) {
      throw new Refusal(`There is an ingredient called ${body.name} already.`, 'name');
    }
    await write(
      db,
      `INSERT INTO ingredient (id, name, body) VALUES (?, ?, ?)
       ON DUPLICATE KEY UPDATE name = VALUES(name), body = VALUES(body), removed_at = NULL`,
      [twin?.id ?? id, body.name, JSON.stringify(body)],
    );
    const was = twin && !twin.removed ? json<Ingredient>(twin.body).allergens : null;
    await audit(`allergens of ${body.name}`, was, body.allergens);
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
      const more = users.length > names.length ? ` and ${users.length - names.length} more` : '';
      throw new Refusal(`It is used in ${names.join(', ')}${more}; take it out there first.`, 'id');
    }
    const { touched } = await write(
      db,
      'UPDATE ingredient SET removed_at = ? WHERE id = ? AND removed_at IS NULL',
      [new Date(now), id],
    );
    if (touched === 0) throw new Refusal('The house has no such ingredient.', 'id');
    await audit(`ingredient ${id}`, { kept: true }, { kept: false });
    return { id };
  },
});
