'use client';

import { useCallback, useState, useSyncExternalStore } from 'react';

const PREFIX = 'hefeteig-draft/';

/**
 * A text that somebody is typing: it outlives a reload of the page in this tab, and is gone when it is sent or emptied.
 *
 * @param key - what it is about, such as the step and what is said of it
 */
export function useDraft(key: string): [string, (text: string) => void] {
  const kept = useSyncExternalStore(
    never,
    () => read(key),
    () => '',
  );
  const [typed, setTyped] = useState<string | null>(null);
  const write = useCallback(
    (next: string) => {
      setTyped(next);
      keep(key, next);
    },
    [key],
  );
  return [typed ?? kept, write];
}

/** No other part of the page changes it. */
const never = () => () => undefined;

/** Whether something is half typed in this tab. */
export function isHalfTyped(): boolean {
  try {
    return Object.keys(sessionStorage).some((key) => key.startsWith(PREFIX));
  } catch {
    return false;
  }
}

function read(key: string): string {
  try {
    return sessionStorage.getItem(PREFIX + key) ?? '';
  } catch {
    // A browser that keeps nothing begins with nothing; so does a page that is made on the server.
    return '';
  }
}

function keep(key: string, text: string): void {
  try {
    if (text === '') sessionStorage.removeItem(PREFIX + key);
    else sessionStorage.setItem(PREFIX + key, text);
  } catch {
    // It is still in the field.
  }
}
