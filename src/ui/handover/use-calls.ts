'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Person } from '@/core/bakery/people';
import { wordsWith, type HandoverWords, type PendingWords } from '@/core/shopfloor/handover-words';
import { onSent, onWaiting, waitingCalls, type FloorCall } from '../live/outbox';

/** The words of the shifts with what was written and signed on this tablet and has not arrived yet. */
export function useCalls(kept: readonly HandoverWords[], people: readonly Person[]) {
  const router = useRouter();
  const [calls, setCalls] = useState<FloorCall[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    const look = () => void waitingCalls().then(setCalls);
    look();
    const stopped = [
      onWaiting(look),
      onSent((outcome) => {
        if (!('call' in outcome) || outcome.call.name === 'take-alarm') return;
        setTrouble(outcome.answer.ok ? null : outcome.answer.message);
        router.refresh();
      }),
    ];
    return () => stopped.forEach((stop) => stop());
  }, [router]);
  const nameOf = (id: number) => people.find((one) => one.id === id)?.name ?? '';
  const said = calls.flatMap(({ name, input, personId, at }): PendingWords[] => {
    const by = nameOf(personId);
    if (name === 'write-handover') return [{ kind: 'words', words: String(input.words), by, at }];
    return name === 'sign-handover' ? [{ kind: 'read', handover: Number(input.handover), by }] : [];
  });
  return { words: wordsWith(kept, said), trouble };
}
