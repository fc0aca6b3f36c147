import { check } from '../commands/check';
import { setUpFile } from '../commands/house/set-up-schema';
import lindenried from './lindenried.json' with { type: 'json' };

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

/**
 * Doughs of the week: what, how many, ready when (day 0 is the Tuesday before the opening). `justOrdered`: planned from the
 * opening on, so late that the promise cannot be kept.
 */
export const DOUGHS: {
  justOrdered?: true;
  outputs: { product: string; pieces: number; day: number; time: string }[];
}[] = [
  { outputs: [{ product: 'Brioche loaf', pieces: 12, day: 1, time: '10:00' }] },
  {
    outputs: [
      { product: 'Butter crescent', pieces: 120, day: 2, time: '06:30' },
      { product: 'Chocolate roll', pieces: 48, day: 2, time: '06:45' },
    ],
  },
  { outputs: [{ product: 'Brioche knot', pieces: 72, day: 2, time: '08:00' }] },
  { outputs: [{ product: 'Poppy danish', pieces: 60, day: 2, time: '09:30' }] },
  {
    outputs: [
      { product: 'Butter crescent', pieces: 120, day: 3, time: '06:30' },
      { product: 'Raisin snail', pieces: 40, day: 3, time: '07:30' },
    ],
  },
  { outputs: [{ product: 'Poppy danish', pieces: 72, day: 3, time: '09:00' }] },
  {
    outputs: [
      { product: 'Brioche knot', pieces: 60, day: 3, time: '11:15' },
      { product: 'Brioche loaf', pieces: 12, day: 3, time: '11:45' },
    ],
  },
  { outputs: [{ product: 'Levain crescent', pieces: 84, day: 4, time: '08:00' }] },
  { outputs: [{ product: 'Chocolate roll', pieces: 60, day: 4, time: '09:00' }] },
  { outputs: [{ product: 'Poppy danish', pieces: 48, day: 4, time: '09:45' }] },
  { outputs: [{ product: 'Brioche knot', pieces: 48, day: 5, time: '08:00' }] },
  { justOrdered: true, outputs: [{ product: 'Sugared bun', pieces: 48, day: 2, time: '17:00' }] },
];

/** What customers want on which weekdays (1 Monday to 7 Sunday), ready when. */
export const STANDING: { customer: string; product: string; days: number[]; time: string; pieces: number }[] =
  [
    { customer: 'Shop', product: 'Butter crescent', days: [5], time: '06:30', pieces: 90 },
    { customer: 'Shop', product: 'Butter crescent', days: [6, 7], time: '06:30', pieces: 110 },
    { customer: 'Shop', product: 'Butter crescent', days: [1, 2, 3, 4], time: '06:30', pieces: 70 },
    {
      customer: 'Café am Wehr',
      product: 'Butter crescent',
      days: [1, 2, 3, 4, 5],
      time: '07:30',
      pieces: 30,
    },
    { customer: 'Café am Wehr', product: 'Raisin snail', days: [5, 7], time: '07:30', pieces: 40 },
    { customer: 'Café Lindenhof', product: 'Poppy danish', days: [5], time: '09:00', pieces: 72 },
    { customer: 'Café Lindenhof', product: 'Poppy danish', days: [6, 1], time: '09:45', pieces: 48 },
    { customer: 'Shop', product: 'Chocolate roll', days: [6], time: '09:00', pieces: 60 },
    { customer: 'Shop', product: 'Chocolate roll', days: [7, 2], time: '07:00', pieces: 36 },
    { customer: 'Shop', product: 'Brioche knot', days: [5], time: '11:15', pieces: 60 },
    { customer: 'Shop', product: 'Brioche knot', days: [7], time: '08:00', pieces: 48 },
    { customer: 'Shop', product: 'Brioche loaf', days: [5], time: '11:45', pieces: 12 },
    { customer: 'Café Lindenhof', product: 'Levain crescent', days: [6], time: '08:00', pieces: 84 },
    { customer: 'Shop', product: 'Sugared bun', days: [1, 3], time: '10:00', pieces: 48 },
  ];

/** Orders for one day; day 0 is the Tuesday before the opening. */
export const SINGLE: { customer: string; product: string; day: number; time: string; pieces: number }[] = [
  { customer: 'Music club', product: 'Sugared bun', day: 2, time: '17:00', pieces: 48 },
  { customer: 'School', product: 'Plum danish', day: 6, time: '09:00', pieces: 40 },
  { customer: 'Music club', product: 'Almond crescent', day: 7, time: '08:30', pieces: 24 },
];

/** Shaped pieces in the freezer. */
export const FROZEN: { product: string; pieces: number }[] = [
  { product: 'Chocolate roll', pieces: 24 },
  { product: 'Butter crescent', pieces: 30 },
];

/** What the afternoon left for the night, hours before the demo opens. */
export const LAST_WORDS = {
  by: 'Piet',
  hoursAgo: 7,
  words:
    'Poppy filling for both danishes is on the lowest shelf of the retarder, film on it. The proofer door does not fall shut by itself.',
};

/** Stand-ins for probes and scale (`src/devices`), with the tokens that they send. */
export const DEVICES = [
  { id: 'probes', kind: 'probes', token: 'lindenried-probes' },
  { id: 'scale', kind: 'scale', token: 'lindenried-scale' },
] as const;

/** Bakes before the demo: days ago, on which decks, times as long as written. The lowest deck is a little slow. */
export const PAST_BAKES: [daysAgo: number, decks: number[], ratio: number][] = [
  [9, [1], 1.11],
  [8, [2, 3], 1],
  [7, [1], 1.08],
  [6, [3], 0.98],
  [5, [1, 2], 1.05],
  [4, [2], 1.02],
  [3, [1], 1.1],
];

/** Judged proofs of butter crescents before the demo: days ago, minutes at 26 °C, verdict. */
export const PAST_PROOFS: [daysAgo: number, minutes: number, verdict: 'under' | 'right' | 'over'][] = [
  [23, 148, 'right'],
  [21, 128, 'under'],
  [18, 161, 'right'],
  [16, 155, 'right'],
  [14, 183, 'over'],
  [11, 139, 'right'],
  [9, 152, 'right'],
  [7, 133, 'under'],
  [4, 158, 'right'],
];

/** Mixes of crescent dough before the demo: days ago, rise in °C, friction factor. */
export const PAST_MIXES: [daysAgo: number, rise: number, factor: number][] = [
  [23, 6.8, 9.5],
  [21, 7.4, 11.5],
  [18, 6.1, 8],
  [16, 7.2, 11],
  [14, 7.0, 10.5],
  [11, 6.4, 8.5],
  [9, 7.7, 12],
  [7, 6.9, 10],
];
