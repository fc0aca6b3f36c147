'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Person } from '@/core/bakery/people';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { type AtTablet, endActing } from '../live/at-tablet';

const PinPad = dynamic(() => import('../sign-in/pin-pad').then((module) => module.PinPad), { ssr: false });

interface Props {
  person: Person;
  zone: string;
  /** Whoever goes on under their name alone; null where they have recorded something, or nobody does. */
  acting: AtTablet | null;
  /** Others who have recorded something here, and how much of it waits. */
  others: readonly { one: AtTablet; count: number }[];
  /** How much waits under the name of whoever is signed in. */
  own: number;
  /** Another tab has let somebody else in. */
  elsewhere: boolean;
}

/** Asks for the PINs of those who have gone on without a line, or says that another is signed in. */
export function ToConfirmBand({ person, zone, acting, others, own, elsewhere }: Props) {
  const say = useWords();
  const [asking, setAsking] = useState<AtTablet | null>(null);
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
      {own > 0 && (
        <p className="flex flex-wrap items-center justify-between gap-3">
          {say('shell.recordedHereUnderYourName', { count: own })}
          <Button floor onClick={() => setAsking(person)}>
            {say('shell.confirmWithPIN')}
          </Button>
        </p>
      )}
      {others.map(({ one, count }) => (
        <p key={one.id} className="flex flex-wrap items-center justify-between gap-3">
          {say.rich('shell.recordedHereByNotConfirmed', { get: () => count, name: one.name })}
          <Button floor onClick={() => setAsking(one)}>
            {say('common.pINOf', { name: one.name })}
          </Button>
        </p>
      ))}
      {acting && (
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
