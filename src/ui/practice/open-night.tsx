'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { SituationId } from '@/core/practice/situation';
import { Button } from '../kit/button';
import { send } from '../live/command';

/** What is practised: a situation that ships, one of the house, or a batch from one of its steps on. */
export type NightChoice = { ships: SituationId } | { own: number } | { doughId: number; stepKey: string };

/** Opens a practice night and leads to it; what stands against it is said beside the button. */
export function OpenNight({
  choice,
  label,
  spoken,
  look = 'plain',
}: {
  choice: NightChoice;
  label: string;
  /** What the button is called where its label alone does not tell. */
  spoken?: string;
  look?: 'act' | 'plain';
}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const open = async () => {
    setBusy(true);
    const answer = await send('open-practice', { clientId: uuidv7(), ...choice });
    if (answer.ok) return router.push(`/practice/${(answer.result as { id: number }).id}`);
    setBusy(false);
    setTrouble(answer.message);
  };
  return (
    <div>
      <Button floor look={look} aria-label={spoken} disabled={busy} onClick={() => void open()}>
        {label}
      </Button>
      {trouble && (
        <p role="alert" className="text-lg text-warn">
          {trouble}
        </p>
      )}
    </div>
  );
}
