'use client';

import { useWords } from '../kit/words';
import { useCallback, useEffect, useState } from 'react';
import type { Answer } from '@/core/wire/answer';
import { Button } from '../kit/button';
import { Awake } from '../live/awake';
import { letIn } from '../live/command';
import { go } from '../live/go';

const FIELD = 'min-h-14 rounded border border-edge bg-flour px-4 text-2xl';

/**
 * A device that nobody has let in yet: it shows nobody's name. A planner makes a code on the House page.
 *
 * @param free - the house lets every device in: nothing has to be typed
 */
export function EnrolView({ free }: { free: boolean }) {
  const say = useWords();
  const [code, setCode] = useState('');
  const [name, setName] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const told = useCallback((answer: Answer) => {
    if (answer.ok) go('/sign-in');
    else setTrouble(answer.message);
  }, []);
  useEffect(() => {
    if (!free) return;
    void letIn('-', say('signIn.thisDevice')).then(told);
  }, [free, told, say]);
  return (
    <main className="mx-auto grid min-h-dvh max-w-xl content-center gap-6 p-6">
      <h1 className="text-4xl font-bold">{say('signIn.hefeteig')}</h1>
      {free ? (
        <p className="text-xl text-quiet">{say('signIn.oneMoment')}</p>
      ) : (
        <form
          aria-label={say('signIn.letThisDeviceIn')}
          className="grid gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            void letIn(code, name).then(told);
          }}
        >
          <p className="text-xl">{say('signIn.thisDeviceIsNewHere')}</p>
          <label className="grid gap-1 text-lg">
            {say('signIn.code')}
            <input
              autoFocus
              autoComplete="off"
              autoCapitalize="characters"
              value={code}
              onChange={(event) => setCode(event.target.value)}
              className={`${FIELD} tracking-widest uppercase`}
            />
          </label>
          <label className="grid gap-1 text-lg">
            {say('signIn.nameOfThisDevice')}
            <input
              placeholder={say('signIn.benchTablet')}
              maxLength={60}
              value={name}
              onChange={(event) => setName(event.target.value)}
              className={FIELD}
            />
          </label>
          <Button look="act" floor type="submit" disabled={code.length < 8 || name.trim() === ''}>
            {say('signIn.letItIn')}
          </Button>
        </form>
      )}
      {trouble && (
        <p role="alert" className="text-lg text-warn">
          {trouble}
        </p>
      )}
      <Awake />
    </main>
  );
}
