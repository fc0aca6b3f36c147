import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { ALLERGENS } from '@/core/formula/ingredient';
import { KITCHENS } from '@/core/units/measures';
import { asText } from '@/words/as-text';
import { changeHouse, type House, house } from '../../store/house';
import { command } from '../command';

/** How a house writes: weights, temperatures, lengths, and whose cups and spoons. */
export const unitsForm = Joi.object({
  mass: Joi.valid('g', 'oz').required(),
  temperature: Joi.valid('C', 'F').required(),
  length: Joi.valid('cm', 'in').required(),
  kitchen: Joi.valid(...KITCHENS.map(({ id }) => id)).required(),
});

/** A time zone that this server knows. */
export const zoneForm = Joi.string()
  .valid(...Intl.supportedValuesOf('timeZone'))
  .required()
  .messages({ '*': asText(coded('refusals.chooseATimeZone')) });

/** What the bakery is called, where it is, how it writes, and which allergens it keeps apart. */
export const saveHouse = command<Partial<House>, null>({
  name: 'save-house',
  schema: Joi.object<Partial<House>>({
    name: Joi.string()
      .trim()
      .min(1)
      .max(100)
      .messages({ '*': asText(coded('refusals.aBakeryHasAName')) }),
    zone: zoneForm.optional(),
    units: unitsForm,
    apart: Joi.array()
      .items(Joi.valid(...ALLERGENS))
      .unique(),
  }),
  doughOf: () => null,
  async run({ db, audit }, part) {
    const was = await house(db);
    const is = { ...was, ...part };
    await changeHouse(db, is);
    await audit(coded('record.bakery'), was, is);
    return null;
  },
});
