'use client';

import { useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();
const isNight = () => document.documentElement.dataset.theme === 'night';

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Day or night, for this device; kept in a cookie so that the page is made in the right one. */
export function useTheme(): { night: boolean; toggle: () => void } {
  const night = useSyncExternalStore(subscribe, isNight, () => false);
  const toggle = () => {
    const next = isNight() ? 'day' : 'night';
    document.documentElement.dataset.theme = next;
    document.cookie = `theme=${next}; path=/; max-age=31536000; samesite=lax`;
    listeners.forEach((listener) => listener());
  };
  return { night, toggle };
}
