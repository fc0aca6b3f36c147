'use client';

import { useRouter } from 'next/navigation';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import type { FloorEvent } from '@/core/floor/events';
import { hear } from './heard';

/** After a tap somewhere, boards are asked for anew after so long, each tablet by chance so much later, ms. */
const SOON = 400;
const SPREAD = 800;

const Line = createContext<'open' | 'away'>('open');

/** Listens to the house's feed of changes and brings the page up to date; knows whether the line is open. */
export function Live({ children }: { children: ReactNode }) {
  const router = useRouter();
  const [line, setLine] = useState<'open' | 'away'>('open');
  useEffect(() => {
    const feed = new EventSource('/api/feed');
    feed.onopen = () => setLine('open');
    feed.onerror = () => setLine('away');
    let timer: ReturnType<typeof setTimeout> | undefined;
    feed.onmessage = ({ data }: MessageEvent<string>) => {
      const { events, calm } = JSON.parse(data) as { events: FloorEvent[]; calm: boolean };
      hear(events);
      // What was recorded shows already; what follows from it may wait until not all tablets ask at once.
      clearTimeout(timer);
      timer = setTimeout(() => router.refresh(), calm ? SOON + SPREAD * Math.random() : 0);
    };
    void navigator.serviceWorker?.register('/sw.js');
    return () => {
      clearTimeout(timer);
      feed.close();
    };
  }, [router]);
  return <Line value={line}>{children}</Line>;
}

export function useLine(): 'open' | 'away' {
  return useContext(Line);
}
