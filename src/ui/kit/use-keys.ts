'use client';

import { useWords } from './words';
import type { Say } from '@/words/say';
import { useEffect, useEffectEvent } from 'react';

const typing = (say: Say) => say('kit.inputSelectTextareaContenteditable');
const pressedByEnter = (say: Say) => say('kit.buttonA');

/** Listens for keys wherever the focus is, but not while somebody types or a sheet lies over the page. */
export function useKeys(keys: Record<string, () => void>): void {
  const say = useWords();
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target instanceof Element ? event.target : document.body;
    const taken =
      target.closest(typing(say)) || (event.key === 'Enter' && target.closest(pressedByEnter(say)));
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
