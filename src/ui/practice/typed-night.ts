import { minuteOfDay } from '@/core/time/local';
import type { Situation } from '@/core/practice/situation';

/** A dough of a night as it is typed. */
export interface TypedDough {
  product: string;
  pieces: string;
  kind: string;
  minutes: string;
  rises: string;
  longer: string;
  warmer: string;
}

/** A practice night as a planner types it. */
export interface TypedNight {
  name: string;
  brief: string;
  level: string;
  opens: string;
  hours: string;
  thermometer: string;
  place: string;
  by: string;
  from: string;
  shown: boolean;
  doughs: TypedDough[];
}

export const blankTyped = (product: string): TypedDough => ({
  ...{ product, pieces: '40', kind: 'proof', minutes: '45' },
  ...{ rises: '100', longer: '0', warmer: '0' },
});

/** A night as its form begins. */
export const freshNight = (product: string): TypedNight => ({
  ...{ name: '', brief: '', level: '2', opens: '03:00', hours: '5', thermometer: '0' },
  ...{ place: '', by: '-5', from: '0', shown: false, doughs: [blankTyped(product)] },
});

/** A number as typed, with comma or point; what is none stays one that the house refuses. */
const numberOf = (text: string): number => {
  const trimmed = text.trim().replace(',', '.').replace('−', '-');
  return trimmed === '' ? NaN : Number(trimmed);
};

/** The field in which something stands that is no number, by its path in the situation; null where all are. */
export function firstOdd(situation: Situation): string | null {
  const { doughs, places, ...own } = situation;
  const flat: [string, unknown][] = [
    ...Object.entries(own).map(([key, value]): [string, unknown] => [key, value]),
    ...places.flatMap((place, i) =>
      Object.entries(place).map(([key, value]): [string, unknown] => [`places.${i}.${key}`, value]),
    ),
    ...doughs.flatMap(({ at, ...dough }, i) => [
      ...Object.entries(dough).map(([key, value]): [string, unknown] => [`doughs.${i}.${key}`, value]),
      [`doughs.${i}.minutes`, at.minutes] as [string, unknown],
    ]),
  ];
  return flat.find(([, value]) => typeof value === 'number' && Number.isNaN(value))?.[0] ?? null;
}

/** What was typed as a situation; a text that is no number becomes none. */
export function situationOf(typed: TypedNight): Situation {
  return {
    level: Number(typed.level) as Situation['level'],
    opens: minuteOfDay(typed.opens) ?? NaN,
    hours: numberOf(typed.hours),
    thermometer: numberOf(typed.thermometer),
    places:
      typed.place === ''
        ? []
        : [
            {
              place: typed.place as Situation['places'][number]['place'],
              ...{ by: numberOf(typed.by), from: numberOf(typed.from), shown: typed.shown },
            },
          ],
    doughs: typed.doughs.map(({ product, pieces, kind, minutes, rises, longer, warmer }) => ({
      product: Number(product),
      pieces: numberOf(pieces),
      at: { kind: kind as Situation['doughs'][number]['at']['kind'], nth: 1, minutes: numberOf(minutes) },
      ...{ vigour: numberOf(rises) / 100, warmer: numberOf(warmer), longer: numberOf(longer) },
      ...{ strength: 1, dueAfter: 45 },
    })),
  };
}
