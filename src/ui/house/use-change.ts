'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Answer } from '@/core/wire/answer';
import { send } from '../live/command';

/** A change of the house that was held back: what stands against it, and whether it can be made all the same. */
export interface PendingChange {
  message: string;
  field: string | null;
  /** Makes it all the same, where it only hurts the plan. */
  anyway: (() => Promise<boolean>) | null;
}

/** Changes of the house: what hurts the plan is said first, and made only when somebody says so again. */
export function useChange() {
  const router = useRouter();
  const [held, setHeld] = useState<PendingChange | null>(null);
  const change = async (command: string, input: Record<string, unknown>, sure = false): Promise<boolean> => {
    const answer: Answer = await send(command, { ...input, ...(sure ? { sure } : {}) });
    if (answer.ok) {
      setHeld(null);
      router.refresh();
      return true;
    }
    const anyway = answer.offer?.sure === true ? () => change(command, input, true) : null;
    setHeld({ message: answer.message, field: answer.field, anyway });
    return false;
  };
  return { change, held, calm: () => setHeld(null) };
}
