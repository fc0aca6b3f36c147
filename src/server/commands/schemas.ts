import { told, wording } from '@/words/wording';
import Joi from 'joi';

/** Building blocks of the commands' schemas, with the sentences that a person reads. */

export const clientId = Joi.string()
  .guid({ version: ['uuidv4', 'uuidv7'] })
  .required()
  .messages({
    '*': told(wording('refusals.theFormLostItsOwnNumber')),
  });

export const doughId = Joi.number()
  .integer()
  .positive()
  .required()
  .messages({ '*': told(wording('refusals.nameADoughOfThePlan')) });

export const pieces = Joi.number()
  .integer()
  .min(1)
  .max(100_000)
  .required()
  .messages({
    'number.base': told(wording('refusals.piecesAreAWholeNumberSuch')),
    'number.unsafe': told(wording('refusals.thatIsMoreThanAnyBakery')),
    'number.integer': told(wording('refusals.piecesAreAWholeNumberSuch')),
    'number.min': told(wording('refusals.atLeast1Piece')),
    'number.max': told(wording('refusals.thatIsMoreThanAnyBakery')),
    'any.required': told(wording('refusals.howManyPieces')),
  });

/** A wall-clock time as a form field sends it. */
export const localTime = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/)
  .required()
  .messages({ '*': told(wording('refusals.giveADayAndTimeSuch')) });
