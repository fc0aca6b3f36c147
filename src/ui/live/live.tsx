'use client';

import { useRouter } from 'next/navigation';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { backToSignIn, forgetPages, isLeaving, signOut } from './command';
import { listenToHouse, type News } from './feed-line';
import { hear } from './heard';
import { flush, seeSession } from './outbox';
import { keepSteady } from './steady';

/**
 * When the board is asked for anew after news, ms: `from` and by chance up to `spread` later, so that not all tablets ask
 * at once. What was recorded shows already with all that follows from it; only what the server keeps beside it (lessons, weights) is
 * still to come, and matters most to who recorded it.
 */
const WHEN = {
  now: { from: 0, spread: 0 },
  soon: { from: 300, spread: 500 },
  later: { from: 4000, spread: 8000 },
};

function when({ events, calm }: News, personId: number): keyof typeof WHEN {
  if (!calm) return 'now';
  return events.some((event) => event.personId === personId) ? 'soon' : 'later';
}

/** Lets the service worker keep every part of the application, for panels that are first opened without a line. */
async function keepParts(): Promise<void> {
  await navigator.serviceWorker?.register('/sw.js');
  const ready = await navigator.serviceWorker?.ready;
  ready?.active?.postMessage('keep-parts');
}

/** Photos wait beside the taps; what sends them is fetched only now, since no page waits for it. */
const sendWaitingPhotos = () =>
  import('./photo-box').then(({ sendPhotos }) => sendPhotos()).catch(() => undefined);

const Line = createContext<'open' | 'away'>('open');

/**
 * Listens to the house's feed of changes and brings the page up to date; knows whether the line is open. A page that
 * cannot be brought up to date stays as it is.
 *
 * @param cursor - how far the house was when the page was made
 */
export function Live({
  personId,
  cursor,
  children,
}: {
  personId: number;
  cursor: number;
  children: ReactNode;
}) {
  const router = useRouter();
  const [line, setLine] = useState<'open' | 'away'>('open');
  const [failing, setFailing] = useState(false);
  // Only where the page began: from then on the feed itself says how far it is.
  const [from] = useState(cursor);
  useEffect(() => keepSteady(setFailing), []);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let due = Infinity;
    const refresh = () => {
      due = Infinity;
      router.refresh();
    };
    const onNews = (news: News) => {
      hear(news.events);
      const { from: soonest, spread } = WHEN[when(news, personId)];
      const at = Date.now() + soonest + spread * Math.random();
      // News that come one after the other do not put it off.
      if (at >= due) return;
      clearTimeout(timer);
      due = at;
      timer = setTimeout(refresh, at - Date.now());
    };
    const onLine = (now: 'open' | 'away') => {
      setLine(now);
      // What waits does not wait for its pause when the house is heard again.
      if (now === 'open') {
        void flush();
        void sendWaitingPhotos();
      }
    };
    const stop = listenToHouse(from, {
      ...{ onNews, onLine, onSession: seeSession },
      // A session that the house has ended leaves no page behind either.
      onOver: () => void forgetPages().finally(backToSignIn),
    });
    void keepParts();
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [router, personId, from]);
  useEffect(() => {
    // Somebody has signed out here while nobody answered.
    if (isLeaving()) void signOut().then(() => isLeaving() || backToSignIn());
  }, []);
  return <Line value={failing ? 'away' : line}>{children}</Line>;
}

export function useLine(): 'open' | 'away' {
  return useContext(Line);
}
