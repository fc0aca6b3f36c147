import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';

/** Building blocks of the commands' schemas, with the sentences that a person reads. */

export const clientId = Joi.string()
  .guid({ version: ['uuidv4', 'uuidv7'] })
  .required()
  .messages({
    '*': asText(coded('refusals.theFormLostItsOwnNumber')),
  });

export const doughId = Joi.number()
  .integer()
  .positive()
  .required()
  .messages({ '*': asText(coded('refusals.nameADoughOfThePlan')) });

export const pieces = Joi.number()
  .integer()
  .min(1)
  .max(100_000)
  .required()
  .messages({
    'number.base': asText(coded('refusals.piecesAreAWholeNumberSuch')),
    'number.unsafe': asText(coded('refusals.thatIsMoreThanAnyBakery')),
    'number.integer': asText(coded('refusals.piecesAreAWholeNumberSuch')),
    'number.min': asText(coded('refusals.atLeast1Piece')),
    'number.max': asText(coded('refusals.thatIsMoreThanAnyBakery')),
    'any.required': asText(coded('refusals.howManyPieces')),
  });

/** A wall-clock time as a form field sends it. */
export const localTime = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/)
  .required()
  .messages({ '*': asText(coded('refusals.giveADayAndTimeSuch')) });
