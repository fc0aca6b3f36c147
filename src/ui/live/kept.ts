'use client';

import { useCallback, useSyncExternalStore } from 'react';

const CHANGED = 'hefeteig-kept';

/** A text that this device keeps; null where there is none. */
export function readHere(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    // A browser that keeps nothing goes by what is usual.
    return null;
  }
}

function subscribe(onChange: () => void): () => void {
  window.addEventListener(CHANGED, onChange);
  window.addEventListener('storage', onChange);
  return () => {
    window.removeEventListener(CHANGED, onChange);
    window.removeEventListener('storage', onChange);
  };
}

/** Keeps a text on this device, for all that show it. */
export function keepHere(key: string, text: string): void {
  localStorage.setItem(key, text);
  window.dispatchEvent(new Event(CHANGED));
}

/** A text that this device keeps, the same in all its tabs; null where there is none, and while the page is made. */
export function useKept(key: string): [string | null, (text: string) => void] {
  const text = useSyncExternalStore(
    subscribe,
    useCallback(() => readHere(key), [key]),
    () => null,
  );
  return [text, useCallback((next: string) => keepHere(key, next), [key])];
}
