'use client';

import { useEffect, useEffectEvent } from 'react';

const TYPING = 'input, select, textarea, [contenteditable]';
const PRESSED_BY_ENTER = 'button, a';

/** Listens for keys wherever the focus is, but not while somebody types or a sheet lies over the page. */
export function useKeys(keys: Record<string, () => void>): void {
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target instanceof Element ? event.target : document.body;
    const taken = target.closest(TYPING) || (event.key === 'Enter' && target.closest(PRESSED_BY_ENTER));
    const act = keys[event.shiftKey ? `Shift+${event.key}` : event.key] ?? keys[event.key];
    if (
      !act ||
      taken ||
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      document.querySelector('[role=dialog]')
    )
      return;
    event.preventDefault();
    act();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
