import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { FAULT_IDS, MARKS } from '@/core/record/marks';
import { dataOf, FLOOR_EVENT_KINDS } from '@/core/record/event-kinds';
import { CHECK_ANSWERS, SCRAP_USES, type EventData } from '@/core/record/events';
import { FOLDS } from '@/core/lamination/stack';

const grams = (least: number) =>
  Joi.number()
    .min(least)
    .max(1_000_000)
    .required()
    .messages({ '*': asText(coded('refusals.giveAWeightSuchAs400')) });
const degrees = (what: string, low: number, high: number) =>
  Joi.number()
    .min(low)
    .max(high)
    .required()
    .messages({ '*': asText(coded('refusals.theLiesBetweenAndCWrite', { what, low, high })) });
const line = Joi.string()
  .pattern(/^\d{1,2}\.\d{1,3}$/)
  .required()
  .messages({ '*': asText(coded('refusals.nameALineOfTheMixing')) });
const ingredient = Joi.string()
  .max(60)
  .required()
  .messages({ '*': asText(coded('refusals.chooseAnIngredient')) });

const pieces = Joi.number()
  .integer()
  .min(0)
  .max(10_000)
  .required()
  .messages({ '*': asText(coded('refusals.piecesAreWholeNumbersFrom0')) });

const score = Joi.number()
  .integer()
  .min(1)
  .max(5)
  .messages({ '*': asText(coded('refusals.marksGoFrom1To5')) });

const SHAPES: Record<EventData['kind'], Joi.ObjectSchema> = {
  lost: Joi.object({
    output: Joi.number().integer().positive().allow(null).required(),
    pieces: pieces.min(1).allow(null),
  }),
  verdict: Joi.object({
    verdict: Joi.string()
      .valid('under', 'right', 'over')
      .required()
      .messages({ '*': asText(coded('refusals.underRightOrOver')) }),
  }),
  alive: Joi.object({
    answer: Joi.string().valid('ready', 'wait', 'anew', 'add-yeast').required(),
    sign: Joi.string().max(80).allow(null).required(),
    minutes: Joi.number()
      .integer()
      .min(5)
      .max(600)
      .when('answer', { is: 'wait', then: Joi.required() })
      .messages({ '*': asText(coded('refusals.lookAgainIn5MinTo')) }),
    grams: Joi.number()
      .positive()
      .max(5000)
      .when('answer', { is: 'add-yeast', then: Joi.required() })
      .messages({ '*': asText(coded('common.howManyGramsOfYeast')) }),
  }),
  conditions: Joi.object({
    flour: degrees('flour', -5, 45),
    room: degrees('room', 5, 45),
    liquid: degrees('liquid', -20, 43),
    iceKg: Joi.number()
      .min(0)
      .max(100)
      .required()
      .messages({ '*': asText(coded('refusals.iceIsAWeightOfNothing')) }),
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
      .messages({ '*': asText(coded('refusals.sayWhichFoldsWereGivenHalf')) }),
    covers: Joi.number().integer().min(0).max(5).required(),
    ends: Joi.boolean().required(),
  }),
  checked: Joi.object({
    check: Joi.string()
      .valid(...Object.keys(CHECK_ANSWERS))
      .required(),
    answer: Joi.string()
      .valid('good', ...Object.values(CHECK_ANSWERS).flat())
      .required()
      .messages({ '*': asText(coded('refusals.sayHowItWas')) }),
    minutes: Joi.number()
      .integer()
      .min(0)
      .max(240)
      .required()
      .messages({ '*': asText(coded('refusals.lookAgainWithin4H')) }),
  }),
  pieces: Joi.object({
    count: Joi.number()
      .integer()
      .min(1)
      .max(500)
      .required()
      .messages({ '*': asText(coded('common.howManyPiecesLieOn')) }),
    grams: grams(1),
  }),
  scrap: Joi.object({
    grams: grams(1),
    how: Joi.string().valid('weighed', 'estimated').required(),
    use: Joi.string()
      .valid(...SCRAP_USES)
      .required()
      .messages({ '*': asText(coded('refusals.sayWhatBecomesOfTheTrimmings')) }),
  }),
  marked: Joi.object({
    marks: Joi.object(Object.fromEntries(MARKS.map((mark) => [mark, score]))).required(),
    seen: Joi.array()
      .items(Joi.string().valid(...FAULT_IDS))
      .unique()
      .required()
      .messages({ '*': asText(coded('refusals.chooseWhatWasSeenFromThe')) }),
  }),
  probed: Joi.object({
    probe: Joi.string()
      .max(40)
      .allow(null)
      .required()
      .messages({ '*': asText(coded('refusals.chooseACoreProbe')) }),
  }),
  moved: Joi.object({
    place: Joi.string()
      .max(40)
      .required()
      .messages({ '*': asText(coded('refusals.chooseAPlaceOfTheHouse')) }),
    shelf: Joi.number()
      .integer()
      .min(1)
      .max(200)
      .messages({ '*': asText(coded('refusals.shelvesAreCountedFrom1')) }),
  }),
  decks: Joi.object({
    oven: Joi.string().max(40),
    decks: Joi.array()
      .items(Joi.number().integer().min(1).max(12))
      .unique()
      // In another oven, on decks that nobody has named yet.
      .when('oven', { is: Joi.exist(), otherwise: Joi.array().min(1) })
      .required()
      .messages({ '*': asText(coded('refusals.sayOnWhichDecksItIs')) }),
  }),
  frozen: Joi.object({ pieces, where: Joi.string().trim().max(60) }),
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
        otherwise: Joi.forbidden().messages({ '*': asText(coded('refusals.thisEventDoesNotSayWhat')) }),
      })
      .required()
      .messages({ 'any.required': asText(coded('refusals.thisEventDoesNotSayWhat')) }),
  })),
  otherwise: Joi.valid(null),
});
