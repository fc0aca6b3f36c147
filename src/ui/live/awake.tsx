'use client';

import { useEffect } from 'react';
import { AWAKE } from './early-taps';

/** Tells that the part of the page around it is awake: what was tapped before is done now. */
export function Awake() {
  useEffect(() => {
    document.dispatchEvent(new Event(AWAKE));
  }, []);
  return null;
}
