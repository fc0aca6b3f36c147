import Joi from 'joi';
import { FAULT_IDS, MARKS } from '@/core/record/marks';
import { dataOf, FLOOR_EVENT_KINDS } from '@/core/record/event-kinds';
import { SCRAP_USES, type EventData } from '@/core/record/events';
import { FOLDS } from '@/core/lamination/stack';

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

const pieces = Joi.number()
  .integer()
  .min(0)
  .max(10_000)
  .required()
  .messages({ '*': 'Pieces are whole numbers from 0 up.' });

const score = Joi.number().integer().min(1).max(5).messages({ '*': 'Marks go from 1 to 5.' });

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
  turned: Joi.object({
    block: Joi.number().integer().min(1).max(26).allow(null).required(),
    folds: Joi.array()
      .items(Joi.string().valid(...FOLDS))
      .min(1)
      .max(6)
      .required()
      .messages({ '*': 'Say which folds were given: half, letter or book, up to six at one go.' }),
    covers: Joi.number().integer().min(0).max(5).required(),
    ends: Joi.boolean().required(),
  }),
  checked: Joi.object({
    check: Joi.string().valid('bend', 'spring', 'bake', 'window').required(),
    answer: Joi.string()
      .valid('good', 'snaps', 'smears', 'springs', 'butter-shows', 'longer', 'tears')
      .required()
      .messages({ '*': 'Say how it was.' }),
    minutes: Joi.number().integer().min(0).max(240).required().messages({ '*': 'Look again within 4 h.' }),
  }),
  pieces: Joi.object({
    count: Joi.number()
      .integer()
      .min(1)
      .max(500)
      .required()
      .messages({ '*': 'How many pieces lie on the scale?' }),
    grams: grams(1),
  }),
  scrap: Joi.object({
    grams: grams(1),
    how: Joi.string().valid('weighed', 'estimated').required(),
    use: Joi.string()
      .valid(...SCRAP_USES)
      .required()
      .messages({ '*': 'Say what becomes of the trimmings.' }),
  }),
  marked: Joi.object({
    marks: Joi.object(Object.fromEntries(MARKS.map((mark) => [mark, score]))).required(),
    seen: Joi.array()
      .items(Joi.string().valid(...FAULT_IDS))
      .unique()
      .required()
      .messages({ '*': 'Choose what was seen from the list.' }),
  }),
  needle: Joi.object({
    needle: Joi.string().max(40).allow(null).required().messages({ '*': 'Choose a needle of the house.' }),
  }),
  moved: Joi.object({
    place: Joi.string().max(40).required().messages({ '*': 'Choose a place of the house.' }),
    shelf: Joi.number().integer().min(1).max(200).messages({ '*': 'Shelves are counted from 1.' }),
  }),
  decks: Joi.object({
    oven: Joi.string().max(40),
    decks: Joi.array()
      .items(Joi.number().integer().min(1).max(12))
      .unique()
      .min(1)
      .required()
      .messages({ '*': 'Say on which decks it is.' }),
  }),
  counted: Joi.object({ good: pieces, second: pieces, waste: pieces }),
  'scrap-taken': Joi.object({ from: Joi.number().integer().positive().required(), grams: grams(1) }),
};

/** The data of an event, by its kind; other kinds carry none. */
export const eventData = Joi.when('kind', {
  switch: FLOOR_EVENT_KINDS.filter((kind) => dataOf(kind).length > 0).map((kind) => ({
    is: kind,
    then: Joi.alternatives()
      .conditional('.kind', {
        switch: dataOf(kind).map((one) => ({
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
