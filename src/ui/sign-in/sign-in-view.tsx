'use client';

import { Delete } from 'lucide-react';
import { useState } from 'react';
import type { Person } from '@/core/floor/board';
import { dayTime } from '@/core/time/local';
import { signIn } from '../live/command';
import { go } from '../live/go';

type Somebody = Person & { here: boolean };

/** Who are you, and your PIN: two steps, big enough for a knuckle. */
export function SignInView({
  house,
  people,
  now,
  ended,
}: {
  house: { name: string; zone: string };
  people: Somebody[];
  now: number;
  /** The session ended under somebody's hands. */
  ended: boolean;
}) {
  const [who, setWho] = useState<Somebody | null>(null);
  return (
    <main className="mx-auto grid min-h-dvh max-w-5xl content-center gap-8 p-6 md:grid-cols-[1fr_20rem]">
      <header className="md:col-span-2">
        <h1 className="text-4xl font-bold">Hefeteig</h1>
        <p className="text-lg text-quiet">
          {house.name}, {dayTime(now, house.zone)}
        </p>
        {ended && (
          <p role="status" className="mt-2 border-l-4 border-warn pl-3 text-lg">
            You were signed out; the last tap was not recorded. Sign in and press again.
          </p>
        )}
      </header>
      <section aria-label="Who are you" className="grid content-start gap-3 sm:grid-cols-2">
        {people.map((person) => (
          <button
            key={person.id}
            aria-pressed={who?.id === person.id}
            onClick={() => setWho(person)}
            className="flex min-h-18 items-center justify-between rounded border border-edge bg-flour px-5 text-left aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-ground"
          >
            <span>
              <span className="block text-2xl font-semibold">{person.name}</span>
              <span className="text-base opacity-80">
                {person.role === 'planner' ? 'planner' : person.team}
              </span>
            </span>
            {person.here && <span className="text-base opacity-80">on shift</span>}
          </button>
        ))}
      </section>
      {who ? (
        <PinPad key={who.id} person={who} />
      ) : (
        <p className="self-center text-xl text-quiet">Tap your name, then your PIN.</p>
      )}
    </main>
  );
}

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];

function PinPad({ person }: { person: Somebody }) {
  const [pin, setPin] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const enter = async () => {
    setBusy(true);
    const answer = await signIn(person.id, pin);
    setBusy(false);
    if (answer.ok) return go('/');
    setPin('');
    setTrouble(answer.message);
  };
  const key = 'min-h-16 rounded border border-edge bg-flour text-2xl font-semibold';
  return (
    <form
      aria-label={`PIN of ${person.name}`}
      className="grid content-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void enter();
      }}
    >
      <label className="grid gap-1 text-lg">
        PIN of {person.name}
        <input
          autoFocus
          type="password"
          inputMode="numeric"
          autoComplete="off"
          maxLength={8}
          value={pin}
          onChange={(event) => setPin(event.target.value)}
          className="min-h-14 rounded border border-edge bg-flour px-4 text-3xl tracking-widest"
        />
      </label>
      <div className="grid grid-cols-3 gap-2">
        {KEYS.map((digit) => (
          <button
            key={digit}
            type="button"
            className={key}
            onClick={() => setPin((before) => (before + digit).slice(0, 8))}
          >
            {digit}
          </button>
        ))}
        <button
          type="button"
          className={key}
          aria-label="Delete last digit"
          onClick={() => setPin((before) => before.slice(0, -1))}
        >
          <Delete aria-hidden className="mx-auto" />
        </button>
        <button type="button" className={key} onClick={() => setPin((before) => `${before}0`.slice(0, 8))}>
          0
        </button>
        <button
          type="submit"
          disabled={busy || pin.length < 4}
          className="min-h-16 rounded bg-butter text-2xl font-semibold text-on-butter disabled:opacity-50"
        >
          Sign in
        </button>
      </div>
      {trouble && (
        <p role="alert" className="text-lg text-warn">
          {trouble}
        </p>
      )}
    </form>
  );
}
