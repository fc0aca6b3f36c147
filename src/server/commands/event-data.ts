import Joi from 'joi';
import type { EventData } from '@/core/floor/events';

const grams = (least: number) =>
  Joi.number()
    .min(least)
    .max(1_000_000)
    .required()
    .messages({ '*': 'Give a weight, such as 400 g or 14 oz.' });
const degrees = (what: string, low: number, high: number) =>
  Joi.number()
    .min(low)
    .max(high)
    .required()
    .messages({ '*': `The ${what} lies between ${low} and ${high} °C; write an F behind Fahrenheit.` });
const line = Joi.string()
  .pattern(/^\d{1,2}\.\d{1,3}$/)
  .required()
  .messages({ '*': 'Name a line of the mixing sheet.' });
const ingredient = Joi.string().max(60).required().messages({ '*': 'Choose an ingredient.' });

const SHAPES: Record<EventData['kind'], Joi.ObjectSchema> = {
  verdict: Joi.object({
    verdict: Joi.string()
      .valid('under', 'right', 'over')
      .required()
      .messages({ '*': 'Under, right or over?' }),
  }),
  alive: Joi.object({
    answer: Joi.string().valid('ready', 'wait', 'anew', 'add-yeast').required(),
    sign: Joi.string().max(80).allow(null).required(),
    minutes: Joi.number()
      .integer()
      .min(5)
      .max(600)
      .when('answer', { is: 'wait', then: Joi.required() })
      .messages({ '*': 'Look again in 5 min to 10 h.' }),
    grams: Joi.number()
      .positive()
      .max(5000)
      .when('answer', { is: 'add-yeast', then: Joi.required() })
      .messages({ '*': 'How many grams of yeast?' }),
  }),
  conditions: Joi.object({
    flour: degrees('flour', -5, 45),
    room: degrees('room', 5, 45),
    liquid: degrees('liquid', -20, 43),
    iceKg: Joi.number().min(0).max(100).required().messages({ '*': 'Ice is a weight of nothing or more.' }),
  }),
  weighed: Joi.object({ line, bowl: Joi.number().integer().min(1).max(20).required(), grams: grams(0) }),
  adjusted: Joi.object({ ingredient, grams: grams(-1_000_000) }),
  swapped: Joi.object({ line, ingredient }),
};

/** Which data an event of a kind carries. */
const CARRIES: Record<string, EventData['kind'][]> = {
  verdict: ['verdict'],
  alive: ['alive'],
  conditions: ['conditions'],
  mix: ['weighed', 'adjusted', 'swapped'],
};

/** The data of an event, by its kind; other kinds carry none. */
export const eventData = Joi.when('kind', {
  switch: Object.entries(CARRIES).map(([kind, data]) => ({
    is: kind,
    then: Joi.alternatives()
      .conditional('.kind', {
        switch: data.map((one) => ({
          is: one,
          then: SHAPES[one].keys({ kind: Joi.string().required() }),
        })),
        otherwise: Joi.forbidden().messages({ '*': 'This event does not say what was done.' }),
      })
      .required()
      .messages({ 'any.required': 'This event does not say what was done.' }),
  })),
  otherwise: Joi.valid(null),
});
