'use client';

import { useSyncExternalStore } from 'react';
import { METRIC, type ReaderUnits } from '@/core/units/reader';

const KEY = 'hefeteig-units';
const CHANGED = 'hefeteig-units-changed';

function stored(): string {
  try {
    return localStorage.getItem(KEY) ?? '';
  } catch {
    // A browser that keeps nothing reads in metric.
    return '';
  }
}

let last = { text: '', units: METRIC };

/** The units of this reader; the same object as long as nothing changes. */
function current(): ReaderUnits {
  const text = stored();
  if (text !== last.text) {
    try {
      last = { text, units: { ...METRIC, ...(JSON.parse(text) as Partial<ReaderUnits>) } };
    } catch {
      last = { text, units: METRIC };
    }
  }
  return last.units;
}

function subscribe(onChange: () => void): () => void {
  window.addEventListener(CHANGED, onChange);
  window.addEventListener('storage', onChange);
  return () => {
    window.removeEventListener(CHANGED, onChange);
    window.removeEventListener('storage', onChange);
  };
}

/** How this reader likes to read, kept on this device; what is stored of doughs is SI all the same. */
export function useUnits(): [ReaderUnits, (change: Partial<ReaderUnits>) => void] {
  const units = useSyncExternalStore(subscribe, current, () => METRIC);
  const change = (part: Partial<ReaderUnits>) => {
    localStorage.setItem(KEY, JSON.stringify({ ...units, ...part }));
    window.dispatchEvent(new Event(CHANGED));
  };
  return [units, change];
}
