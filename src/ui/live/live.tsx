'use client';

import { useRouter } from 'next/navigation';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';

const Line = createContext<'open' | 'away'>('open');

/** Listens to the house's feed of changes and brings the page up to date; knows whether the line is open. */
export function Live({ children }: { children: ReactNode }) {
  const router = useRouter();
  const [line, setLine] = useState<'open' | 'away'>('open');
  useEffect(() => {
    const feed = new EventSource('/api/feed');
    feed.onopen = () => setLine('open');
    feed.onerror = () => setLine('away');
    feed.onmessage = () => router.refresh();
    void navigator.serviceWorker?.register('/sw.js');
    return () => feed.close();
  }, [router]);
  return <Line value={line}>{children}</Line>;
}

export function useLine(): 'open' | 'away' {
  return useContext(Line);
}
