'use client';

import { useWords } from '../kit/words';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import type { Person } from '@/core/bakery/people';
import { looksOn } from '@/core/shopfloor/rights';
import { Sheet } from '../kit/sheet';
import { rest } from '../live/command';
import { actAs, endActing, useAtTablet, useLately } from '../live/at-tablet';
import { useAway } from '../live/away';
import { useMinute } from '../live/clock';
import { isHalfTyped } from '../live/draft';
import { useWaiting } from '../live/outbox';
import { Names, type Somebody } from '../sign-in/names';

// Fetched when somebody opens it: no page waits for it.
const AtThisTablet = dynamic(() => import('./at-this-tablet').then((module) => module.AtThisTablet), {
  ssr: false,
});

const MINUTE = 60_000;
/** How often resting is put off for a half-typed note. */
const PUT_OFF = 4;
const TOUCHES = ['pointerdown', 'keydown'] as const;

/**
 * Who is at this tablet. A tap on the name lets the next one take it over with a PIN, where they are; a tablet that
 * nobody has touched for long only shows until somebody does.
 */
export function PersonSwitch({
  person: signedIn,
  people,
  idleMinutes,
  zone,
}: {
  person: Person;
  people: readonly Somebody[];
  /** 0: it never rests. */
  idleMinutes: number;
  zone: string;
}) {
  const say = useWords();
  const [open, setOpen] = useState(false);
  const person = useAtTablet(signedIn);
  const away = useAway();
  const now = useMinute();
  const lately = useLately();
  useResting(looksOn(signedIn.role) ? 0 : idleMinutes, signedIn.id);
  const others = people.filter(({ id }) => id !== person.id || looksOn(person.role));
  return (
    <>
      <button
        className="min-h-11 rounded border border-edge px-3 text-lg font-semibold"
        aria-label={say('shell.isAtThisTabletChange', { name: person.name })}
        onClick={() => setOpen(true)}
      >
        {person.name}
        {person.id !== signedIn.id && <span className="font-normal text-quiet">{say('shell.noPINYet')}</span>}
      </button>
      <Sheet open={open} onOpenChange={setOpen} title={say('shell.whoTakesOver')}>
        {away ? (
          <>
            <p className="mb-3 max-w-lg text-lg">{say('shell.offlineWhoeverSignedInHere')}</p>
            <Names
              people={lately.filter(({ id }) => id !== person.id)}
              who={null}
              onChoose={(one) => {
                if (one.id === signedIn.id) endActing();
                else actAs(one, now);
                setOpen(false);
              }}
            />
          </>
        ) : (
          <AtThisTablet {...{ person, others, zone }} />
        )}
      </Sheet>
    </>
  );
}

/** Gives up the right to record when nobody has touched the tablet for so long and nothing waits to be sent. */
function useResting(minutes: number, personId: number): void {
  const waiting = (useWaiting().get(personId) ?? 0) > 0;
  useEffect(() => {
    if (minutes === 0 || waiting) return;
    let timer: ReturnType<typeof setTimeout>;
    let put = 0;
    const begin = () => {
      put = 0;
      again();
    };
    const again = () => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        // Not under a half-typed note; one that is left lying waits for whoever takes the tablet next.
        if (isHalfTyped() && ++put < PUT_OFF) return again();
        void rest().then((done) => (done ? location.reload() : begin()));
      }, minutes * MINUTE);
    };
    begin();
    for (const touch of TOUCHES) window.addEventListener(touch, begin, { passive: true });
    return () => {
      clearTimeout(timer);
      for (const touch of TOUCHES) window.removeEventListener(touch, begin);
    };
  }, [minutes, waiting]);
}
