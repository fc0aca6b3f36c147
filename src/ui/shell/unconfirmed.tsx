'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import type { Person } from '@/core/floor/board';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import {
  beginSession,
  endActing,
  signedInHere,
  useAtTablet,
  useLately,
  type AtTablet,
} from '../live/at-tablet';
import { useAway } from '../live/away';
import { useMinute } from '../live/clock';
import { useWaiting } from '../live/outbox';

const HOUR = 3_600_000;

const PinPad = dynamic(() => import('../sign-in/pin-pad').then((module) => module.PinPad), { ssr: false });

/**
 * Says whose session the page is, before anything below it sends; and where somebody has gone on without a line, asks for
 * their PIN as soon as there is one.
 */
export function Unconfirmed({ person }: { person: Person }) {
  const [asking, setAsking] = useState<AtTablet | null>(null);
  const waiting = useWaiting();
  const lately = useLately();
  const away = useAway();
  const now = useMinute();
  const acting = useAtTablet(person);
  useEffect(() => beginSession(person, acting), [person, acting]);
  const hour = Math.floor(now / HOUR);
  useEffect(() => {
    if (person.id > 0 && !away) signedInHere(person, hour * HOUR);
  }, [person, away, hour]);
  const others = lately.filter(({ id }) => id !== person.id && (waiting.get(id) ?? 0) > 0);
  const idle = acting.id !== person.id && (waiting.get(acting.id) ?? 0) === 0;
  if (away || (others.length === 0 && acting.id === person.id)) return null;
  const done = () => {
    endActing();
    location.reload();
  };
  return (
    <section
      aria-label="To be confirmed"
      className="grid gap-2 border-b border-hairline bg-butter-wash px-5 py-2 text-lg print:hidden"
    >
      {others.map((one) => (
        <p key={one.id} className="flex flex-wrap items-center justify-between gap-3">
          {waiting.get(one.id)} recorded here by {one.name} without a line; unconfirmed until {one.name} gives
          the PIN.
          <Button floor onClick={() => setAsking(one)}>
            PIN of {one.name}
          </Button>
        </p>
      ))}
      {idle && (
        <p className="flex flex-wrap items-center justify-between gap-3">
          The line is back; {acting.name} goes on with the PIN.
          <span className="flex gap-3">
            <Button floor onClick={() => setAsking(acting)}>
              PIN of {acting.name}
            </Button>
            <Button floor onClick={done}>
              {person.name} goes on
            </Button>
          </span>
        </p>
      )}
      <Sheet open={asking !== null} onOpenChange={() => setAsking(null)} title="Confirm what was recorded">
        {asking && <PinPad person={asking} onDone={done} />}
      </Sheet>
    </section>
  );
}
