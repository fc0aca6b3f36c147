'use client';

import { useEffect, useRef, useState } from 'react';

/** The width of an element, in CSS px, as it changes; `first` until it is known. */
export function useWidth<T extends HTMLElement>(first: number) {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(first);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) =>
      setWidth(Math.max(280, Math.floor(entry?.contentRect.width ?? first))),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, [first]);
  return { ref, width };
}
