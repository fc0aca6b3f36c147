'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { send } from '../live/command';

/** Takes a dough out of the plan, and says what was taken out or why it could not be. */
export function useTakingOut() {
  const router = useRouter();
  const [taken, setTaken] = useState<{ id: number; name: string } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const takeOut = async ({ id, name }: { id: number; name: string }) => {
    const answer = await send('remove-dough', { doughId: id });
    setTrouble(answer.ok ? null : answer.message);
    if (!answer.ok) return;
    setTaken({ id, name });
    router.refresh();
  };
  return {
    taken,
    trouble,
    takeOut: (dough: { id: number; name: string }) => void takeOut(dough),
    forget: () => setTaken(null),
  };
}
