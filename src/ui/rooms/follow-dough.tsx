'use client';

import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from '../kit/button';
import { send } from '../live/command';

/** Lets the plan of a dough follow its waits as they are today; says what that did. */
export function FollowDough({ id, name }: { id: number; name: string }) {
  const say = useWords();
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [told, setTold] = useState<{ message: string; trouble: boolean } | null>(null);
  const follow = async () => {
    setBusy(true);
    const answer = await send('follow-dough', { doughId: id });
    setBusy(false);
    if (!answer.ok) {
      setTold({ message: answer.message, trouble: true });
      return;
    }
    const { moved, settled } = answer.result as { moved: number; settled: boolean };
    const did = say('rooms.stepsOfMoved', { moved, name });
    setTold({
      message: settled ? did : say('rooms.planAndWaitsHaveNot', { did }),
      trouble: !settled,
    });
    router.refresh();
  };
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3">
      <Button look="act" className="min-h-11" disabled={busy} onClick={() => void follow()}>
        {busy ? say('rooms.moving') : say('rooms.letThePlanFollow')}
      </Button>
      {told && (
        <p role={told.trouble ? 'alert' : 'status'} className={told.trouble ? 'text-warn' : ''}>
          {told.message}
        </p>
      )}
    </div>
  );
}
