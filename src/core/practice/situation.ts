import type { PlaceKind } from '../heat/places';
import type { RouteStep } from '../process/route';

/** What a bakery has a product for: situations that ship name no product, since no two bakeries have the same. */
export const ROLES = ['laminated', 'plain'] as const;
export type ProductRole = (typeof ROLES)[number];

/** A dough at the opening of a practice night, and what nobody knows of it. */
export interface SituationDough {
  /** A product by what it is, or by its id. */
  product: ProductRole | number;
  pieces: number;
  /** The step in which it is, and for how many minutes: the `nth` of its kind, counted from 1. */
  at: { kind: RouteStep['kind']; nth: number; minutes: number };
  /** How much faster its yeast works than its formula says; 1 as it says. */
  vigour: number;
  /** How much warmer than meant it came out of the mixer, °C. */
  warmer: number;
  /** How many times as long as usual it takes to relax. */
  strength: number;
  /** Minutes by which the step in hand has gone on for longer than the record says; negative: for less. */
  longer: number;
  /** It is due so many minutes after it would be ready if all went as planned. */
  dueAfter: number;
}

/** A place that is not what it should be, from some minutes after the opening on. */
export interface PlaceFault {
  place: PlaceKind;
  /** °C. */
  by: number;
  from: number;
  /** Whether its probe shows it; a probe that does not shows what the place should have. */
  shown: boolean;
  /** How much drier its air is than it should be, %. */
  drier?: number;
}

export const LEVELS = [1, 2, 3] as const;
export type Level = (typeof LEVELS)[number];

/** A night to practise: what is under way when it opens, and what goes wrong. */
export interface Situation {
  level: Level;
  /** Local minute of the day at which it opens, and how many hours it goes on. */
  opens: number;
  hours: number;
  doughs: SituationDough[];
  places: PlaceFault[];
  /** How much too much the thermometer shows, °C. */
  thermometer: number;
}

const dough = (
  product: SituationDough['product'],
  pieces: number,
  [kind, minutes, nth = 1]: [RouteStep['kind'], number, number?],
  hidden: Partial<SituationDough> = {},
): SituationDough => ({
  ...{ product, pieces, at: { kind, nth, minutes } },
  ...{ vigour: 1, warmer: 0, strength: 1, longer: 0, dueAfter: 45 },
  ...hidden,
});

const night = (level: Level, doughs: SituationDough[], more: Partial<Situation> = {}): Situation => ({
  ...{ level, doughs, opens: 3 * 60, hours: 5, places: [], thermometer: 0 },
  ...more,
});

/** The situations that ship, by what they teach. */
export const SITUATIONS = {
  /** Nothing is wrong: one proof to the rack. */
  calm: night(1, [dough('laminated', 40, ['proof', 60])], { hours: 4 }),
  /** The clock says ready, the dough does not. */
  slow: night(1, [dough('laminated', 40, ['proof', 75], { vigour: 0.75 })]),
  /** Ready before anybody would look. */
  fast: night(1, [dough('laminated', 40, ['proof', 50], { vigour: 1.35 })], { hours: 4 }),
  /** Two proofs, one pair of hands. */
  two: night(1, [dough('laminated', 40, ['proof', 75]), dough('plain', 36, ['proof', 45])]),
  /** The proofer is cold, and its probe says so. */
  coldProofer: night(2, [dough('laminated', 40, ['proof', 15])], {
    places: [{ place: 'proofer', by: -8, from: -60, shown: true }],
    hours: 6,
  }),
  /** The proofer is so hot that butter runs. */
  hotProofer: night(2, [dough('laminated', 40, ['proof', 40])], {
    places: [{ place: 'proofer', by: 6, from: 10, shown: true }],
    hours: 4,
  }),
  /** The proofer's steam is off: what lies open in it gets a skin. */
  dryProofer: night(2, [dough('laminated', 40, ['proof', 20])], {
    places: [{ place: 'proofer', by: 0, from: -20, shown: true, drier: 32 }],
    hours: 4,
  }),
  /** The shift before recorded the proof when somebody reminded them. */
  lateNote: night(2, [dough('laminated', 40, ['proof', 35], { longer: 55 })], { hours: 4 }),
  /** The block was turned just before the shift changed; the record says otherwise. */
  shortRest: night(2, [dough('laminated', 48, ['rest', 40, 2], { longer: -32, strength: 1.3 })], {
    opens: 7 * 60,
  }),
  /** A dough that came warm out of the mixer, while a proof goes on. */
  warmMix: night(2, [dough('plain', 36, ['bulk', 10], { warmer: 4 }), dough('laminated', 40, ['proof', 70])]),
  /** The probe shows what the proofer should have. */
  blindProbe: night(3, [dough('laminated', 40, ['proof', 30]), dough('plain', 36, ['proof', 20])], {
    places: [{ place: 'proofer', by: -6, from: -60, shown: false }],
    hours: 6,
  }),
  /** Every reading is three degrees too high. */
  thermometer: night(3, [dough('laminated', 40, ['proof', 60]), dough('plain', 36, ['proof', 70])], {
    thermometer: 3,
  }),
  /** Three doughs, a slow one among them, and an oven that is not what it shows. */
  full: night(
    3,
    [
      dough('laminated', 40, ['proof', 80]),
      dough('laminated', 40, ['proof', 40], { vigour: 0.8 }),
      dough('plain', 36, ['proof', 15], { vigour: 1.15 }),
    ],
    { places: [{ place: 'oven', by: -28, from: 0, shown: false }], hours: 6 },
  ),
  /** Weak yeast, a wrong record and an open door in one night. */
  everything: night(
    3,
    [
      dough('laminated', 48, ['rest', 20, 1]),
      dough('laminated', 40, ['proof', 45], { longer: 40 }),
      dough('plain', 36, ['proof', 30], { vigour: 0.7 }),
    ],
    { places: [{ place: 'retarder', by: 8, from: 20, shown: true }], hours: 6 },
  ),
} as const satisfies Record<string, Situation>;

export type SituationId = keyof typeof SITUATIONS;
export const SITUATION_IDS = Object.keys(SITUATIONS) as SituationId[];
