import Joi from 'joi';
import type { NightRecord } from '@/core/practice/night-record';
import { FLOOR_EVENT_KINDS } from '@/core/record/event-kinds';
import { eventData } from './event-data';
import { instant } from './times';

/** More than anybody taps in a night. */
const MOST = 2000;

const stepKey = Joi.string().max(80).required();
const doughId = Joi.number().integer().positive().required();

const event = Joi.object({
  id: Joi.string().max(40).required(),
  doughId,
  stepKey: stepKey.allow(null),
  kind: Joi.string()
    .valid(...FLOOR_EVENT_KINDS)
    .required(),
  at: instant.required(),
  personId: Joi.number().integer().positive().required(),
  celsius: Joi.number().min(-60).max(300).allow(null).required(),
  text: Joi.string().max(2000).allow(null).required(),
  undoes: Joi.string().max(40).allow(null).required(),
  data: eventData,
});

const found = Joi.alternatives(
  Joi.object({
    sense: Joi.valid('eye').required(),
    of: Joi.valid('rise').required(),
    phase: Joi.string().max(20).required(),
    verdict: Joi.valid('under', 'right', 'over').required(),
    isDry: Joi.boolean(),
  }),
  Joi.object({
    sense: Joi.valid('eye').required(),
    of: Joi.valid('bake').required(),
    colour: Joi.valid('pale', 'right', 'dark').required(),
  }),
  Joi.object({
    sense: Joi.valid('thermometer').required(),
    celsius: Joi.number().min(-60).max(300).required(),
  }),
  Joi.object({
    sense: Joi.valid('hand').required(),
    check: Joi.valid('spring', 'bend').required(),
    answer: Joi.valid('good', 'springs', 'snaps', 'smears').required(),
  }),
);

/** What somebody did in a practice night, as their page sends it. */
export const nightRecord = Joi.object<NightRecord>({
  at: instant.required(),
  events: Joi.array().items(event).max(MOST).required(),
  looks: Joi.array()
    .items(Joi.object({ at: instant.required(), doughId, stepKey, found: found.required() }))
    .max(MOST)
    .required(),
  taken: Joi.array()
    .items(
      Joi.object({
        alarm: Joi.string().max(200).required(),
        personId: Joi.number().required(),
        at: instant.required(),
      }),
    )
    .max(MOST)
    .required(),
});
