'use client';

import { useState } from 'react';
import { parseMillimetres } from '@/core/units/length';
import { parseNumber } from '@/core/units/number';
import { parseCelsius } from '@/core/units/temperature';
import { typedGrams } from '@/core/units/typed-grams';
import { useUnits } from '../live/units';

/** Typed texts by name, with a setter for each, and readers in this reader's units. NaN where a text is no such value. */
export function useTyped<T extends Record<string, string>>(begin: T) {
  const [units] = useUnits();
  const [typed, setTyped] = useState(begin);
  const read = {
    celsius: (name: keyof T) => parseCelsius(typed[name] ?? '', units.temperature) ?? NaN,
    mm: (name: keyof T) => parseMillimetres(typed[name] ?? '', units.length === 'in' ? 'in' : 'mm') ?? NaN,
    /** A length on the bench, cm; without a unit it is in the reader's. */
    cm: (name: keyof T) => (parseMillimetres(typed[name] ?? '', units.length) ?? NaN) / 10,
    number: (name: keyof T) => parseNumber((typed[name] ?? '').replace('%', '')) ?? NaN,
    grams: (name: keyof T) => typedGrams(typed[name] ?? '', units) ?? NaN,
  };
  const field = (name: keyof T & string) => ({
    value: typed[name] ?? '',
    onType: (text: string) => setTyped((before) => ({ ...before, [name]: text })),
  });
  return { typed, setTyped, read, field, units };
}

export const NO_TEMPERATURE = 'Type a temperature, such as 24 or 75 F.';
export const NO_LENGTH = 'Type a thickness, such as 25 mm or 1 in.';
export const NO_SIZE = 'Type a length, such as 42.5 cm or 9 1/2 in.';
export const NO_WEIGHT = 'Type a weight, such as 4.9 kg or 12 oz.';
/** The sentence where a value was not read. */
export const unless = (value: number, sentence: string) => (Number.isNaN(value) ? sentence : null);
