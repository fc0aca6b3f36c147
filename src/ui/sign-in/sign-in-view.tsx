'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import { LanguageChoice } from '../language/language-choice';
import { readIn } from '../language/read-in';
import { Awake } from '../live/awake';
import { go } from '../live/go';
import { RefusedList } from '../shell/refused-list';
import { DemoNote, type DemoPins } from './demo-note';
import { Names, type Somebody } from './names';
import { PinPad } from './pin-pad';

/** Who are you, and your PIN: two steps, big enough for a knuckle. */
export function SignInView({
  house,
  people,
  now,
  ended,
  pins = null,
}: {
  house: { name: string; zone: string };
  people: Somebody[];
  now: number;
  /** The session ended under somebody's hands. */
  ended: boolean;
  /** In a demo alone: what its people type. */
  pins?: DemoPins | null;
}) {
  const say = useWords();
  const [who, setWho] = useState<Somebody | null>(null);
  return (
    <main className="mx-auto grid min-h-dvh max-w-5xl content-center gap-8 p-6 md:grid-cols-[1fr_20rem]">
      <header className="md:col-span-2">
        <h1 className="text-4xl font-bold">{say('signIn.hefeteig')}</h1>
        <p className="text-lg text-quiet">
          {house.name}, {say.dayTime(now, house.zone)}
        </p>
        {ended && (
          <p role="status" className="mt-2 border-l-4 border-warn pl-3 text-lg">
            {say('signIn.youWereSignedOutWhat')}
          </p>
        )}
      </header>
      <div className="md:col-span-2">
        <RefusedList people={people} zone={house.zone} />
      </div>
      <section aria-label={say('signIn.whoAreYou')}>
        <Names people={people} who={who} onChoose={setWho} />
      </section>
      {who ? (
        <div>
          <PinPad key={who.id} person={who} zone={house.zone} onDone={() => go('/')} />
          {pins?.[who.id] && (
            <p className="mt-3 text-lg text-quiet">{say('signIn.demoPin', { pin: pins[who.id] ?? '' })}</p>
          )}
        </div>
      ) : pins ? (
        <DemoNote {...{ people, pins }} />
      ) : (
        <p className="self-center text-xl text-quiet">{say('signIn.tapYourNameThenPIN')}</p>
      )}
      <div className="md:col-span-2">
        <LanguageChoice onChoose={(language) => readIn('tablet', language)} />
      </div>
      <Awake />
    </main>
  );
}
