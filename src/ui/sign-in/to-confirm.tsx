'use client';

import { useWords } from '../kit/words';
import { useEffect, useState } from 'react';
import { clockTime } from '@/core/time/local';
import { idOf, onWaiting, unconfirmedOf, whenOf, type Waiting } from '../live/outbox';

/** What waits on this tablet for somebody's PIN. */
export function useUnconfirmed(personId: number): readonly Waiting[] {
  const [list, setList] = useState<readonly Waiting[]>([]);
  useEffect(() => {
    let stopped = false;
    const look = () =>
      void unconfirmedOf(personId).then((found) => {
        if (!stopped) setList((before) => (same(before, found) ? before : found));
      });
    look();
    const stop = onWaiting(look);
    return () => {
      stopped = true;
      stop();
    };
  }, [personId]);
  return list;
}

const same = (a: readonly Waiting[], b: readonly Waiting[]) =>
  a.length === b.length && a.every((one, i) => b[i] !== undefined && idOf(one) === idOf(b[i]));

/** What somebody's PIN will confirm, one by one; each can be left out by who did not record it. */
export function ToConfirm({
  list,
  zone,
  notMine,
  onChange,
}: {
  list: readonly Waiting[];
  zone: string;
  notMine: readonly string[];
  onChange: (notMine: string[]) => void;
}) {
  const say = useWords();
  if (list.length === 0) return null;
  return (
    <fieldset className="grid min-w-0 gap-2 rounded border border-edge p-3">
      <legend className="px-1 text-lg font-semibold">{say('signIn.yourPINConfirms')}</legend>
      <ul className="grid max-h-40 gap-1 overflow-auto">
        {list.map((one) => {
          const id = idOf(one);
          const isMine = !notMine.includes(id);
          return (
            <li key={id}>
              <label className="flex min-h-11 items-center gap-3 text-lg">
                <input
                  type="checkbox"
                  className="size-6 shrink-0"
                  checked={isMine}
                  onChange={() =>
                    onChange(isMine ? [...notMine, id] : notMine.filter((other) => other !== id))
                  }
                />
                <span className="min-w-0">
                  <b>{clockTime(whenOf(one), zone)}</b> {one.about || say('signIn.recordedHere')}
                </span>
              </label>
            </li>
          );
        })}
      </ul>
      <p className="text-base text-quiet">{say('signIn.untickWhatIsNotYours')}</p>
    </fieldset>
  );
}
