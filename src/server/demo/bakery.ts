import Joi from 'joi';
import type { Verdict } from '@/core/learning/verdicts';
import { check } from '../commands/check';
import { setUpFile } from '../commands/house/set-up-schema';
import lindenried from './lindenried.json' with { type: 'json' };
import week from './week.json' with { type: 'json' };

/** Backhaus Lindenried, made up: a town bakery with a shop and two café customers. Its file is one of any bakery. */
export const SET_UP = check(setUpFile, lindenried);

/** Zone of the demo's times. */
export const ZONE = SET_UP.zone;

/** The demo's clock opens here: Thursday, 19 November 2026, 04:10 local time. */
export const OPENING = '2026-11-19T04:10';

/** Everybody's PIN, which the notice of the demo's sign-in prints; no file of a set-up holds one. */
const PINS: Readonly<Record<string, string>> = {
  ...{ Mara: '471147', Jonas: '1203', Ida: '2806', Selma: '3317', Anton: '5090', Piet: '6482' },
};

/** Who works there, with their PINs. */
export const PEOPLE = SET_UP.people.map((person) => ({ ...person, pin: PINS[person.name] ?? '' }));

/** What is promised of one product: `day` 0 is the first of the house's days. */
export interface Promised {
  product: string;
  pieces: number;
  day: number;
  time: string;
}

/** The demo's week, of which day 0 is the Tuesday before the opening, and what was learnt in those before it. */
interface Week {
  /** `justOrdered`: planned from the opening on, so late that the promise cannot be kept. */
  doughs: { justOrdered?: true; outputs: Promised[] }[];
  /** What customers want on which weekdays, 1 Monday to 7 Sunday. */
  standing: { customer: string; product: string; days: number[]; time: string; pieces: number }[];
  /** Orders for one day. */
  single: (Promised & { customer: string })[];
  /** Shaped pieces in the freezer. */
  frozen: { product: string; pieces: number }[];
  /** What the afternoon left for the night, hours before the demo opens. */
  lastWords: { by: string; hoursAgo: number; words: string };
  /** Stand-ins for probes and scale (`src/devices`), with the tokens that they send. */
  devices: { id: string; kind: 'probes' | 'scale'; token: string }[];
  /** Bakes before the demo: on which decks, times as long as written. The lowest deck is a little slow. */
  bakes: { daysAgo: number; decks: number[]; ratio: number }[];
  /** Judged proofs of butter crescents before the demo: minutes at 26 °C. */
  proofs: { daysAgo: number; minutes: number; verdict: Verdict }[];
  /** Mixes of crescent dough before the demo: rise in °C, friction factor. */
  mixes: { daysAgo: number; rise: number; factor: number }[];
}

const some = (one: Joi.SchemaMap) => Joi.array().items(Joi.object(one)).min(1).required();
const name = Joi.string().max(80).required();
const number = Joi.number().required();
const pieces = Joi.number().integer().positive().required();
const time = Joi.string()
  .pattern(/^\d\d:\d\d$/)
  .required();
const promised = { product: name, pieces, day: Joi.number().integer().min(0).required(), time };

export const WEEK = check(
  Joi.object<Week>({
    doughs: some({
      justOrdered: Joi.valid(true),
      outputs: some(promised),
    }),
    standing: some({
      ...{ customer: name, product: name, time, pieces },
      days: Joi.array().items(Joi.number().integer().min(1).max(7)).min(1).required(),
    }),
    single: some({ customer: name, ...promised }),
    frozen: some({ product: name, pieces }),
    lastWords: Joi.object({ by: name, hoursAgo: number, words: Joi.string().required() }).required(),
    devices: some({ id: name, kind: Joi.valid('probes', 'scale').required(), token: name }),
    bakes: some({ daysAgo: number, decks: Joi.array().items(number).required(), ratio: number }),
    proofs: some({
      daysAgo: number,
      minutes: number,
      verdict: Joi.valid('under', 'right', 'over').required(),
    }),
    mixes: some({ daysAgo: number, rise: number, factor: number }),
  }),
  week,
);
