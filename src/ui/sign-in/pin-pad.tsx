'use client';

import { useWords } from '../kit/words';
import { Delete } from 'lucide-react';
import { useState } from 'react';
import { forgetPages, LEAVING, signIn } from '../live/command';
import { keepHere } from '../live/kept';
import { confirm } from '../live/outbox';
import type { Somebody } from './names';
import { ToConfirm, useUnconfirmed } from './to-confirm';

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];

/** Asks for somebody’s PIN and signs them in on this device; what the PIN confirms stands before it. */
export function PinPad({ person, zone, onDone }: { person: Somebody; zone: string; onDone: () => void }) {
  const say = useWords();
  const [pin, setPin] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [notMine, setNotMine] = useState<string[]>([]);
  const unconfirmed = useUnconfirmed(person.id);
  const enter = async () => {
    setBusy(true);
    const answer = await signIn(person.id, pin);
    setBusy(false);
    if (answer.ok) {
      const { sessionId } = answer.result as { sessionId: number };
      await confirm(person.id, sessionId, notMine);
      // Pages of whoever was here before are nobody's any more, and nobody is leaving.
      await forgetPages();
      keepHere(LEAVING, '');
      return onDone();
    }
    setPin('');
    setTrouble(answer.message);
  };
  const key = 'min-h-16 rounded border border-edge bg-flour text-2xl font-semibold';
  return (
    <form
      aria-label={say('common.pINOf', { name: person.name })}
      className="grid min-w-0 content-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void enter();
      }}
    >
      <ToConfirm list={unconfirmed} zone={zone} notMine={notMine} onChange={setNotMine} />
      <label className="grid gap-1 text-lg">
        {say('common.pINOf', { name: person.name })}
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
          aria-label={say('signIn.deleteLastDigit')}
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
          {say('signIn.signIn')}
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
