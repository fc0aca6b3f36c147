import Joi from 'joi';

/** Building blocks of the commands' schemas, with the sentences that a person reads. */

export const clientId = Joi.string()
  .guid({ version: ['uuidv4', 'uuidv7'] })
  .required()
  .messages({
    '*': 'The form lost its own number; load the page again.',
  });

export const doughId = Joi.number()
  .integer()
  .positive()
  .required()
  .messages({ '*': 'Name a dough of the plan.' });

export const pieces = Joi.number().integer().min(1).max(100_000).required().messages({
  'number.base': 'Pieces are a whole number, such as 120.',
  'number.unsafe': 'That is more than any bakery makes; at most 100,000 pieces.',
  'number.integer': 'Pieces are a whole number, such as 120.',
  'number.min': 'At least 1 piece.',
  'number.max': 'That is more than any bakery makes; at most 100,000 pieces.',
  'any.required': 'How many pieces?',
});

/** A wall-clock time as a form field sends it. */
export const localTime = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/)
  .required()
  .messages({ '*': 'Give a day and a time, such as 21 November, 06:30.' });
