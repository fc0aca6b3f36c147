'use client';

import { createContext, useContext, useMemo } from 'react';
import { METRIC, showCelsius, type ReaderUnits } from '@/core/units/reader';
import { retold } from '@/core/units/retold';
import type { Language } from '@/words/message';
import { readerIn } from '@/words/say';
import { keepHere, useKept } from './kept';
import { languageOfPage } from './say-here';

/** The language of the page, which says how numbers are written. */
export const ReaderLanguage = createContext<Language>('en');

/** What this reader has chosen, and what the house writes for whoever has chosen nothing. */
const KEY = 'hefeteig-units';
const HOUSE_KEY = 'hefeteig-house-units';

function partOf(text: string | null): Partial<ReaderUnits> {
  try {
    return JSON.parse(text ?? '{}') as Partial<ReaderUnits>;
  } catch {
    return {};
  }
}

const unitsIn = (own: string | null, house: string | null): ReaderUnits => ({
  ...METRIC,
  ...partOf(house),
  ...partOf(own),
});

/** Keeps on this device how the house writes. */
export const keepHouseUnits = (units: ReaderUnits): void => keepHere(HOUSE_KEY, JSON.stringify(units));

/** How this reader likes to read, kept on this device; what is stored of doughs is SI all the same. */
export function useUnits(): [ReaderUnits, (change: Partial<ReaderUnits>) => void] {
  const [own, keep] = useKept(KEY);
  const [house] = useKept(HOUSE_KEY);
  const language = useContext(ReaderLanguage);
  const units = useMemo(() => readerIn(language, unitsIn(own, house)), [own, house, language]);
  return [units, (part) => keep(JSON.stringify({ ...units, ...part }))];
}

/** Sentences of the house in the units of this reader. */
export function useRetold(): (sentence: string) => string {
  const [units] = useUnits();
  return (sentence) => retold(sentence, units);
}

/** A sentence of the house in the units of this device, for what is no part of a page. */
export function retoldHere(sentence: string): string {
  const kept = (key: string) => (typeof localStorage === 'undefined' ? null : localStorage.getItem(key));
  return retold(sentence, readerIn(languageOfPage(), unitsIn(kept(KEY), kept(HOUSE_KEY))));
}

/** Temperatures as this reader likes to read them. */
export function useCelsius(): (celsius: number) => string {
  const [units] = useUnits();
  return (celsius) => showCelsius(celsius, units);
}
