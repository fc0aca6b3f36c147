'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { send } from '../live/command';

/** Somebody gives themselves another PIN. */
export function OwnPin() {
  const say = useWords();
  const [open, setOpen] = useState(false);
  const [form, setForm] = useState({ old: '', pin: '' });
  const [told, setTold] = useState<{ field: string | null; message: string } | null>(null);
  const [done, setDone] = useState(false);
  const save = async () => {
    const answer = await send('change-pin', form);
    setDone(answer.ok);
    setTold(answer.ok ? null : answer);
    if (answer.ok) setForm({ old: '', pin: '' });
  };
  if (!open)
    return (
      <Button look="quiet" className="mt-4" onClick={() => setOpen(true)}>
        {say('shell.changeYourPIN')}
      </Button>
    );
  const at = (field: string) => (told?.field === field ? told.message : null);
  const set = (part: Partial<typeof form>) => {
    setDone(false);
    setForm({ ...form, ...part });
  };
  return (
    <form
      aria-label={say('shell.changeYourPIN')}
      className="mt-4 grid gap-3 border-t border-edge pt-3 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Field
        {...{ label: say('shell.pINNow'), size: 'floor', type: 'password', inputMode: 'numeric' }}
        value={form.old}
        trouble={at('old')}
        onType={(old) => set({ old })}
      />
      <Field
        {...{ label: say('shell.newPIN'), size: 'floor', type: 'password', inputMode: 'numeric' }}
        value={form.pin}
        trouble={at('pin')}
        onType={(pin) => set({ pin })}
      />
      <Button floor type="submit" disabled={form.old === '' || form.pin === ''}>
        {say('shell.changePIN')}
      </Button>
      {told && told.field === null && (
        <p role="alert" className="text-lg text-warn">
          {told.message}
        </p>
      )}
      {done && (
        <p role="status" className="self-center text-lg">
          {say('shell.pINChangedYourSessionsOn')}
        </p>
      )}
    </form>
  );
}
