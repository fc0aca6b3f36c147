'use client';

import { useWords } from '../kit/words';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import type { Person } from '@/core/bakery/people';
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
import { useElsewhere, useWaiting } from '../live/outbox';
import { useUnconfirmed } from '../sign-in/to-confirm';

const HOUR = 3_600_000;

const PinPad = dynamic(() => import('../sign-in/pin-pad').then((module) => module.PinPad), { ssr: false });

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
  const say = useWords();
  const [asking, setAsking] = useState<AtTablet | null>(null);
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
  const done = () => {
    endActing();
    location.reload();
  };
  return (
    <section
      aria-label={say('shell.toBeConfirmed')}
      className="grid gap-2 border-b border-hairline bg-butter-wash px-5 py-2 text-lg print:hidden"
    >
      {elsewhere && (
        <p className="flex flex-wrap items-center justify-between gap-3">
          {say('shell.somebodyElseHasSignedIn')}
          <Button floor onClick={() => location.reload()}>
            {say('shell.showTheirPage')}
          </Button>
        </p>
      )}
      {theirs && (
        <p className="flex flex-wrap items-center justify-between gap-3">
          {say('shell.recordedHereUnderYourName', { count: own.length })}
          <Button floor onClick={() => setAsking(person)}>
            {say('shell.confirmWithPIN')}
          </Button>
        </p>
      )}
      {others.map((one) => (
        <p key={one.id} className="flex flex-wrap items-center justify-between gap-3">
          {say.rich('shell.recordedHereByNotConfirmed', { get: () => waiting.get(one.id), name: one.name })}
          <Button floor onClick={() => setAsking(one)}>
            {say('common.pINOf', { name: one.name })}
          </Button>
        </p>
      ))}
      {idle && (
        <p className="flex flex-wrap items-center justify-between gap-3">
          {say('shell.onlineAgainGoesOnWith', { name: acting.name })}
          <span className="flex gap-3">
            <Button floor onClick={() => setAsking(acting)}>
              {say('common.pINOf', { name: acting.name })}
            </Button>
            <Button floor onClick={done}>
              {say('shell.goesOn', { name: person.name })}
            </Button>
          </span>
        </p>
      )}
      <Sheet
        open={asking !== null}
        onOpenChange={() => setAsking(null)}
        title={say('shell.confirmWhatWasRecorded')}
      >
        {asking && <PinPad person={asking} zone={zone} onDone={done} />}
      </Sheet>
    </section>
  );
}
