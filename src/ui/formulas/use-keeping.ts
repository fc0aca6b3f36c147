'use client';

import { useState } from 'react';
import type { Kitchen } from '@/core/units/measures';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { go } from '../live/go';
import { cellId } from './cells';
import type { DraftInHand, EditedVersion } from './use-draft';

/** Keeps what is typed as a new version; where it is refused, the cell that it is about is gone to. */
export function useKeeping(
  version: EditedVersion | null,
  { draft, name, note, isSaved }: DraftInHand,
  kitchen: Kitchen,
  onMove: (cell: string) => void,
) {
  const say = useWords();
  const [client, setClient] = useState(() => crypto.randomUUID());
  const [trouble, setTrouble] = useState<{ message: string; field: string | null } | null>(null);
  const [kept, setKept] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [asked, setAsked] = useState<{ id: number; name: string }[]>([]);
  const keep = async (follow?: readonly number[]) => {
    setBusy(true);
    const answer = await send('save-formula', {
      ...{ clientId: client, from: version?.id ?? null, name, note, draft, kitchen },
      ...(follow ? { follow } : {}),
    });
    setBusy(false);
    if (!answer.ok) {
      if (answer.field === 'follow' && Array.isArray(answer.offer?.products))
        return setAsked(answer.offer.products as typeof asked);
      setAsked([]);
      setTrouble({ message: answer.message, field: answer.field });
      const at = /^draft\.(\d+)\.(\d+)\.(name|amount)$/.exec(answer.field ?? '');
      if (at) onMove(cellId(Number(at[1]), Number(at[2]), at[3] as 'name' | 'amount'));
      return;
    }
    setTrouble(null);
    setAsked([]);
    isSaved();
    setClient(crypto.randomUUID());
    const made = answer.result as { formulaId: number; version: number };
    setKept(say('formulas.versionIsKept', { version: made.version }));
    go(`/formulas/${made.formulaId}`);
  };
  return {
    ...{ trouble, kept, busy, asked },
    keep: () => void keep(),
    keepFor: (follow: readonly number[]) => void keep(follow),
    cancel: () => setAsked([]),
    forget: () => setKept(null),
  };
}
