import Joi from 'joi';
import { coded, type Coded } from '@/core/codes/coded';
import { MIXING_WAYS } from '@/core/heat/friction';
import { asText } from '@/words/as-text';

const kilograms = Joi.number()
  .positive()
  .max(1000)
  .empty('')
  .default(null)
  .allow(null)
  .messages({ '*': asText(coded('refusals.kilogramsOfABowl')) });

const between = (least: number, most: number, message: Coded) =>
  Joi.number()
    .min(least)
    .max(most)
    .messages({ '*': asText(message) });
const sheetCm = between(
  20,
  1000,
  coded('refusals.aSheetIsRolledOut', { from: { cm: 20 }, to: { cm: 1000 } }),
);
const details = Joi.object({
  mixing: Joi.valid(...MIXING_WAYS),
  fan: Joi.boolean(),
  correction: between(-60, 60, coded('refusals.aCorrectionIs')),
  ...{ width: sheetCm, length: sheetCm },
  leastGap: between(0.2, 40, coded('refusals.aLeastGapIs', { from: { mm: 0.2 }, to: { mm: 40 } })),
  reduction: between(0.05, 0.7, coded('refusals.aPassTakesOff')),
}).default({});

/** What is said of every machine, as the house page and files say it. */
export const machineForm = {
  label: Joi.string()
    .trim()
    .min(1)
    .max(60)
    .required()
    .messages({ '*': asText(coded('refusals.aMachineHasANameOf')) }),
  capacity: Joi.number()
    .integer()
    .min(1)
    .max(10_000)
    .required()
    .messages({ '*': asText(coded('refusals.itTakesAtLeast1Take')) }),
  changeover: Joi.number()
    .integer()
    .min(0)
    .max(720)
    .required()
    .messages({ '*': asText(coded('refusals.anotherSettingTakesAWholeNumber')) }),
  decks: Joi.number()
    .integer()
    .min(1)
    .max(12)
    .messages({ '*': asText(coded('refusals.anOvenHas1To12')) }),
  kgLeast: kilograms,
  kgAtOnce: kilograms,
  details,
};
