import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { LEVELS, ROLES, type Situation } from '@/core/practice/situation';
import { PLACE_KINDS, type PlaceKind } from '@/core/heat/places';
import { asText } from '@/words/as-text';
import { insertSituation, markSituationRemoved } from '../store/practice';
import { command, Refusal } from './command';
import { clientId, pieces } from './schemas';

interface SaveInput {
  clientId: string;
  name: string;
  brief: string;
  situation: Situation;
}

/** A number of a situation, and what is said where it is not one that can be. */
const within = (least: number, most: number) =>
  Joi.number()
    .min(least)
    .max(most)
    .required()
    .messages({ '*': asText(coded('refusals.theValueLiesBetween', { least, most })) });

const dough = Joi.object({
  product: Joi.alternatives(Joi.number().integer().positive(), Joi.string().valid(...ROLES)).required(),
  pieces,
  at: Joi.object({
    kind: Joi.string().valid('bulk', 'retard', 'rest', 'proof').required(),
    nth: Joi.number().integer().min(1).max(9).required(),
    minutes: within(0, 1440),
  }).required(),
  vigour: within(0.3, 2),
  warmer: within(-8, 8),
  strength: within(0.5, 2),
  longer: within(-240, 240),
  dueAfter: within(0, 480),
});

const place = Joi.object({
  place: Joi.string()
    .valid(...(Object.keys(PLACE_KINDS) as PlaceKind[]))
    .required(),
  by: within(-40, 40),
  from: within(-120, 600),
  shown: Joi.boolean().required(),
  drier: within(0, 60).optional(),
});

/** Keeps a practice night that a planner has made. */
export const saveSituation = command<SaveInput, { id: number }>({
  name: 'save-situation',
  apart: true,
  schema: Joi.object<SaveInput>({
    clientId,
    name: Joi.string()
      .trim()
      .min(1)
      .max(80)
      .required()
      .messages({ '*': asText(coded('refusals.giveTheNightAName')) }),
    brief: Joi.string()
      .trim()
      .max(400)
      .allow('')
      .required()
      .messages({ '*': asText(coded('refusals.whatTheTraineeIsTold')) }),
    situation: Joi.object({
      level: Joi.valid(...LEVELS).required(),
      opens: within(0, 1439),
      hours: within(1, 14),
      doughs: Joi.array()
        .items(dough)
        .min(1)
        .max(6)
        .required()
        .messages({
          'array.min': asText(coded('refusals.aNightHasADough')),
          'array.max': asText(coded('refusals.aNightHasADough')),
        }),
      places: Joi.array().items(place).max(4).required(),
      thermometer: within(-10, 10),
    }).required(),
  }),
  doughOf: () => null,
  async run({ db, person, now }, input) {
    return { id: await insertSituation(db, { ...input, personId: person.id, now }) };
  },
});

/** Takes a practice night of the house out of the list; nights that were practised stay. */
export const removeSituation = command<{ id: number }, null>({
  name: 'remove-situation',
  apart: true,
  schema: Joi.object<{ id: number }>({ id: Joi.number().integer().positive().required() }),
  doughOf: () => null,
  async run({ db, now }, { id }) {
    if (!(await markSituationRemoved(db, id, now))) throw new Refusal(coded('refusals.chooseAPracticeNight'));
    return null;
  },
});
