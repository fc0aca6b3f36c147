'use client';

import { useMemo } from 'react';
import { METRIC, showCelsius, type ReaderUnits } from '@/core/units/reader';
import { retold } from '@/core/units/retold';
import { useKept } from './kept';

const KEY = 'hefeteig-units';

function unitsIn(text: string | null): ReaderUnits {
  try {
    return { ...METRIC, ...(JSON.parse(text ?? '{}') as Partial<ReaderUnits>) };
  } catch {
    return METRIC;
  }
}

/** How this reader likes to read, kept on this device; what is stored of doughs is SI all the same. */
export function useUnits(): [ReaderUnits, (change: Partial<ReaderUnits>) => void] {
  const [text, keep] = useKept(KEY);
  const units = useMemo(() => (text === null ? METRIC : unitsIn(text)), [text]);
  return [units, (part) => keep(JSON.stringify({ ...units, ...part }))];
}

/** Sentences of the house in the units of this reader. */
export function useRetold(): (sentence: string) => string {
  const [units] = useUnits();
  return (sentence) => retold(sentence, units);
}

/** A sentence of the house in the units of this device, for what is no part of a page. */
export const retoldHere = (sentence: string): string =>
  retold(sentence, unitsIn(typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY)));

/** Temperatures as this reader likes to read them. */
export function useCelsius(): (celsius: number) => string {
  const [units] = useUnits();
  return (celsius) => showCelsius(celsius, units);
}
