'use client';

import type { Say } from '@/words/say';
import { useState } from 'react';
import { type Measure, type MeasureKind, readMeasure, showMeasure } from '@/core/units/measure';
import { parseNumber } from '@/core/units/number';
import { useUnits } from '../live/units';

type Begin = Record<string, string | Measure>;
type Entries<T extends Begin> = { [K in keyof T]: T[K] extends Measure ? Measure | string : string };

/**
 * Texts and measurements by name, with a setter for each, shown and read in this reader's units. A measurement that
 * nobody has typed over is the number it began with, exactly, whatever units it is shown in. NaN where a text is no such
 * value.
 */
export function useTyped<T extends Begin>(begin: T) {
  const [units] = useUnits();
  const [entries, setEntries] = useState(begin as Entries<T>);
  const textOf = (name: keyof T): string => {
    const entry: string | Measure = entries[name];
    return typeof entry === 'string' ? entry : showMeasure(entry, units);
  };
  const read = (kind: MeasureKind) => (name: keyof T) => {
    const entry: string | Measure = entries[name];
    return typeof entry === 'string' ? readMeasure(kind, entry, units) : entry.value;
  };
  const typed = Object.fromEntries(Object.keys(entries).map((name) => [name, textOf(name)])) as Record<
    keyof T,
    string
  >;
  const field = (name: keyof T & string) => ({
    value: typed[name],
    onType: (text: string) => setEntries((before) => ({ ...before, [name]: text })),
  });
  return {
    typed,
    field,
    units,
    set: (part: Partial<Entries<T>>) => setEntries((before) => ({ ...before, ...part })),
    read: {
      celsius: read('celsius'),
      /** A difference of temperatures, °C. */
      difference: read('difference'),
      mm: read('mm'),
      /** A length on the bench, cm. */
      cm: read('cm'),
      grams: read('grams'),
      number: (name: keyof T) => parseNumber(typed[name].replace('%', '')) ?? NaN,
    },
  };
}

/** Typed entries, as a part of a form is given them. */
export type Typing<T extends Begin> = ReturnType<typeof useTyped<T>>;

/** The sentence where a value was not read. */
export const unless = (value: number, sentence: string) => (Number.isNaN(value) ? sentence : null);

const examples = (say: Say): Record<MeasureKind, { metric: string; other: string; what: string }> => ({
  celsius: { what: say('amounts.aTemperature'), metric: '24 °C', other: '75 °F' },
  difference: { what: say('amounts.byHowManyDegrees'), metric: '6 °C', other: '11 °F' },
  mm: { what: say('amounts.aThickness'), metric: say('amounts.n25Mm'), other: say('amounts.n1In') },
  cm: { what: say('amounts.aLength'), metric: say('amounts.n425Cm'), other: say('amounts.n912In') },
  grams: { what: say('amounts.aWeight'), metric: say('amounts.n49Kg'), other: say('amounts.n12Oz') },
});

/** What a field of this kind takes, in a sentence. */
export function wants(say: Say, kind: MeasureKind): string {
  const { what, metric, other } = examples(say)[kind];
  return say('amounts.enterSuchAsOr', { what, metric, other });
}
