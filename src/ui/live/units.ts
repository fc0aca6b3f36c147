'use client';

import { useMemo } from 'react';
import { METRIC, showCelsius, type ReaderUnits } from '@/core/units/reader';
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

/** Temperatures as this reader likes to read them. */
export function useCelsius(): (celsius: number) => string {
  const [units] = useUnits();
  return (celsius) => showCelsius(celsius, units);
}
