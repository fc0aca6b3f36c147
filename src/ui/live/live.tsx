'use client';

import { useRouter } from 'next/navigation';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import type { FloorEvent } from '@/core/floor/events';
import { hear } from './heard';

/**
 * When the board is asked for anew after news, ms: `from` and by chance up to `spread` later, so that not all tablets ask
 * at once. What was recorded shows already; what follows from it for windows and times matters most to who recorded it.
 */
const WHEN = {
  now: { from: 0, spread: 0 },
  soon: { from: 300, spread: 500 },
  later: { from: 4000, spread: 8000 },
};
/** What says how far a dough is, and so moves what comes after it. */
const JUDGING: readonly FloorEvent['kind'][] = [
  'verdict',
  'check',
  'alive',
  'temperature',
  'conditions',
  'mix',
];

function when({ events, calm }: News, personId: number): keyof typeof WHEN {
  if (!calm) return 'now';
  const near = events.some((event) => event.personId === personId || JUDGING.includes(event.kind));
  return near ? 'soon' : 'later';
}

/** Lets the service worker keep every part of the application, for panels that are first opened without a line. */
async function keepParts(): Promise<void> {
  await navigator.serviceWorker?.register('/sw.js');
  const ready = await navigator.serviceWorker?.ready;
  ready?.active?.postMessage('keep-parts');
}

interface News {
  events: FloorEvent[];
  /** Nothing else has changed that somebody waits for. */
  calm: boolean;
}

const Line = createContext<'open' | 'away'>('open');

/** Listens to the house's feed of changes and brings the page up to date; knows whether the line is open. */
export function Live({ personId, children }: { personId: number; children: ReactNode }) {
  const router = useRouter();
  const [line, setLine] = useState<'open' | 'away'>('open');
  useEffect(() => {
    const feed = new EventSource('/api/feed');
    feed.onopen = () => setLine('open');
    feed.onerror = () => setLine('away');
    let timer: ReturnType<typeof setTimeout> | undefined;
    let due = Infinity;
    const refresh = () => {
      due = Infinity;
      router.refresh();
    };
    feed.onmessage = ({ data }: MessageEvent<string>) => {
      const news = JSON.parse(data) as News;
      hear(news.events);
      const { from, spread } = WHEN[when(news, personId)];
      const at = Date.now() + from + spread * Math.random();
      // News that come one after the other do not put it off.
      if (at >= due) return;
      clearTimeout(timer);
      due = at;
      timer = setTimeout(refresh, at - Date.now());
    };
    void keepParts();
    return () => {
      clearTimeout(timer);
      feed.close();
    };
  }, [router, personId]);
  return <Line value={line}>{children}</Line>;
}

export function useLine(): 'open' | 'away' {
  return useContext(Line);
}
