import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { MACHINE_KINDS } from '@/core/bakery/machines';
import { SKILLS } from '@/core/bakery/people';
import { isMeant, type SettingName, SETTINGS } from '@/core/bakery/settings';
import { SET_UP_FORMAT, type SetUpFile } from '@/core/exchange/set-up-file';
import { ALLERGENS } from '@/core/formula/ingredient';
import { PLACE_KINDS } from '@/core/heat/places';
import { asText } from '@/words/as-text';
import { ingredientForm } from '../ingredients';
import { oneOf, text } from '../products/draft-schema';
import { ofOneName, productsParts } from '../products/file-schema';
import { unitsForm } from './house';
import { machineForm } from './machine-form';

const id = Joi.string().max(40).required();
const degrees = Joi.number().min(-60).max(350).required();

const place = Joi.object({
  ...{ id, label: text(60), kind: oneOf(Object.keys(PLACE_KINDS)).required() },
  purpose: oneOf(['dough', 'flour', 'water']),
  ...{ usual: degrees, lowest: degrees, highest: degrees, inDough: Joi.boolean() },
});

const machine = Joi.object({
  ...{ id, kind: oneOf(MACHINE_KINDS).required(), ...machineForm },
  place: Joi.string().max(40).allow(null),
});

const minute = Joi.number().integer().min(0).max(1439).required();
const person = Joi.object({
  ...{ name: text(60), role: oneOf(['planner', 'baker', 'helper', 'viewer']).required(), team: text(40) },
  skills: Joi.array().items(oneOf(SKILLS)).unique(),
  shifts: Joi.array()
    .max(21)
    .items(
      Joi.object({
        weekday: Joi.number().integer().min(1).max(7).required(),
        ...{ startMinute: minute, endMinute: minute },
      }),
    )
    .required(),
});

const values = Joi.object().pattern(
  oneOf(Object.keys(SETTINGS)),
  Joi.number().custom((value: number, helpers) => {
    const name = helpers.state.path?.at(-1) as SettingName;
    return isMeant(name, value) ? value : helpers.error('any.invalid');
  }),
);

const { formulas, schemes, products } = productsParts();

/** The form of a file of a whole bakery; what is in it is judged as what is typed is. */
export const setUpFile = Joi.object<SetUpFile>({
  format: Joi.valid(SET_UP_FORMAT)
    .required()
    .messages({ '*': asText(coded('setup.fileOfAnotherKind', { format: SET_UP_FORMAT })) }),
  ...{ name: text(100), zone: text(60), units: unitsForm },
  apart: Joi.array().items(oneOf(ALLERGENS)).unique(),
  places: ofOneName('label').items(place).required(),
  machines: ofOneName('label').items(machine).required(),
  people: ofOneName().items(person).required(),
  values: values.required(),
  ingredients: ofOneName().items(ingredientForm).required(),
  ...{ formulas, schemes, products },
  beginnings: Joi.array().items(Joi.string().max(80)).max(60),
});

/** The same form as a JSON Schema; published as `/schemas/set-up.schema.json`. */
export const publishedSetUpSchema = (): object => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'https://hefeteig.invalid/schemas/set-up.schema.json',
  title: 'Set-up of a bakery',
  description:
    'Places, machines, people with their weekly shifts, house values and products of one bakery. Minutes, °C, grams, kilograms, centimetres, millimetres of thickness. Weekdays from 1, Monday; minutes of a shift from midnight. No file holds a PIN.',
  ...setUpFile['~standard'].jsonSchema.input({ target: 'draft-2020-12' }),
});
