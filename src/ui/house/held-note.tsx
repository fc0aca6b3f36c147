'use client';

import { useWords } from '../kit/words';
import { Button } from '../kit/button';
import type { PendingChange } from './use-change';

/** Why a change is not kept yet, and the way to make it all the same. */
export function HeldNote({
  held,
  onDone,
  onCalm,
}: {
  held: PendingChange | null;
  onDone?: () => void;
  onCalm: () => void;
}) {
  const say = useWords();
  if (!held) return null;
  const { message, anyway } = held;
  return (
    <div className="my-3 grid gap-2 border-l-4 border-warn pl-3">
      <p role="alert" className="text-lg text-warn">
        {message}
      </p>
      {anyway && (
        <div className="flex gap-2">
          <Button onClick={() => void anyway().then((done) => done && onDone?.())}>
            {say('house.keepItAllTheSame')}
          </Button>
          <Button onClick={onCalm}>{say('house.leaveItAsWas')}</Button>
        </div>
      )}
    </div>
  );
}
