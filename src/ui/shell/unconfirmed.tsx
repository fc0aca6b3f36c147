'use client';

import dynamic from 'next/dynamic';
import { useEffect } from 'react';
import type { Person } from '@/core/bakery/people';
import { beginSession, signedInHere, useAtTablet, useLately } from '../live/at-tablet';
import { useAway } from '../live/away';
import { useMinute } from '../live/clock';
import { useElsewhere, useWaiting } from '../live/outbox';
import { useUnconfirmed } from '../sign-in/to-confirm';

const HOUR = 3_600_000;

// Only after hours without a line: no page waits for it. Without one the service worker has it.
const ToConfirmBand = dynamic(() => import('./to-confirm-band').then((module) => module.ToConfirmBand), {
  ssr: false,
});

/**
 * Says whose session the page is, before anything below it sends; and where somebody has gone on without a line, asks for
 * their PIN as soon as there is one.
 */
export function Unconfirmed({
  person,
  sessionId,
  zone,
}: {
  person: Person;
  sessionId: number;
  zone: string;
}) {
  const waiting = useWaiting();
  const lately = useLately();
  const away = useAway();
  const now = useMinute();
  const acting = useAtTablet(person);
  const elsewhere = useElsewhere();
  useEffect(() => beginSession(person, sessionId, acting), [person, sessionId, acting]);
  const hour = Math.floor(now / HOUR);
  useEffect(() => {
    if (person.id > 0 && !away) signedInHere(person, hour * HOUR);
  }, [person, away, hour]);
  const others = lately.filter(({ id }) => id !== person.id && (waiting.get(id) ?? 0) > 0);
  const idle = acting.id !== person.id && (waiting.get(acting.id) ?? 0) === 0;
  const own = useUnconfirmed(person.id);
  const theirs = own.length > 0 && !elsewhere;
  if (away || (others.length === 0 && acting.id === person.id && !elsewhere && !theirs)) return null;
  return (
    <ToConfirmBand
      {...{ person, zone, elsewhere }}
      acting={idle ? acting : null}
      others={others.map((one) => ({ one, count: waiting.get(one.id) ?? 0 }))}
      own={theirs ? own.length : 0}
    />
  );
}
