'use client';

import { useEffect, useState } from 'react';
import type { Guided } from '@/core/shopfloor/first-steps';
import { guidedPart } from './guided';

export interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** Where a part of the screen is just now, however the page moves; null where it is not there. */
export function useBox(place: Guided): Box | null {
  const [box, setBox] = useState<Box | null>(null);
  useEffect(() => {
    const measure = () => {
      const found = guidedPart(place)?.getBoundingClientRect();
      setBox((before) => {
        if (!found || found.width === 0) return null;
        const { left, top, width, height } = found;
        const isSame =
          before?.left === left && before.top === top && before.width === width && before.height === height;
        return isSame ? before : { left, top, width, height };
      });
    };
    measure();
    // Parts come after the page, and move when others do.
    const watch = new MutationObserver(measure);
    watch.observe(document.body, { childList: true, subtree: true });
    window.addEventListener('resize', measure);
    window.addEventListener('scroll', measure, true);
    return () => {
      watch.disconnect();
      window.removeEventListener('resize', measure);
      window.removeEventListener('scroll', measure, true);
    };
  }, [place]);
  return box;
}
