'use client';

import { useState } from 'react';
import type { OptionalStep } from '@/core/process/left-out';
import type { OutputWay } from '@/core/process/output-way';
import type { ProofSchool } from '@/core/process/proof-school';
import { addLocalDays, formatLocal } from '@/core/time/local';
import { localText } from '../kit/day-time';
import { send } from '../live/command';

/** A product that can be planned, and the steps that can be left out of a dough of it. */
export interface Plannable {
  id: number;
  name: string;
  optional: OptionalStep[];
}

/** A product out of the new dough, as it is typed. */
export interface OutputDraft {
  productId: string;
  pieces: string;
  day: string;
  time: string;
  way: OutputWay;
}

interface Trouble {
  message: string;
  field: string | null;
  again: boolean;
  /** When the soonest would be ready, where the time asked for is too soon. */
  earliest: number | null;
}

interface Adding {
  first: string;
  zone: string;
  now: number;
  onAdded: (id: number) => void;
}

/** The new dough as it is typed, what was refused of it, and how it is added. */
export function useAdding({ first, zone, now, onAdded }: Adding) {
  const blank: OutputDraft = {
    productId: first,
    pieces: '',
    day: formatLocal(addLocalDays(now, 2, zone), zone).slice(0, 10),
    time: '06:30',
    way: 'fresh',
  };
  const [clientId] = useState(() => crypto.randomUUID());
  const [lines, setLines] = useState<OutputDraft[]>([blank]);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [busy, setBusy] = useState(false);
  const [without, setWithout] = useState<readonly string[]>([]);
  const [school, setSchool] = useState<ProofSchool | null>(null);
  const change = (nth: number, part: Partial<OutputDraft>) =>
    setLines(lines.map((line, i) => (i === nth ? { ...line, ...part } : line)));

  const add = async (how: { again?: true; late?: true } = {}) => {
    setBusy(true);
    setTrouble(null);
    const outputs = lines.map(({ productId, pieces, day, time, way }) => ({
      ...{ productId, way },
      pieces: pieces.trim(),
      due: localText({ day, time }),
    }));
    const answer = await send('add-dough', {
      ...{ clientId, outputs, ...how },
      ...(without.length > 0 ? { without } : {}),
      ...(school ? { school } : {}),
    });
    setBusy(false);
    if (answer.ok) return onAdded((answer.result as { id: number }).id);
    setTrouble({
      message: answer.message,
      field: answer.field,
      again: answer.offer?.again === true,
      earliest: typeof answer.offer?.earliest === 'number' ? answer.offer.earliest : null,
    });
  };
  return {
    ...{ lines, trouble, busy, without, school, setSchool, change, add },
    leaveOut: (id: string) =>
      setWithout(without.includes(id) ? without.filter((one) => one !== id) : [...without, id]),
    troubleAt: (nth: number, part: keyof OutputDraft | 'due') =>
      trouble?.field === `outputs.${nth}.${part}` ? trouble : null,
    more: () => setLines([...lines, { ...(lines.at(-1) ?? blank), pieces: '' }]),
    drop: (nth: number) => setLines(lines.filter((_, i) => i !== nth)),
    /** Asks for the soonest time at which it can be ready. */
    takeEarliest(nth: number): void {
      const ready = formatLocal(trouble?.earliest ?? now, zone);
      change(nth, { day: ready.slice(0, 10), time: ready.slice(11) });
      setTrouble(null);
    },
  };
}

export type AddingDough = ReturnType<typeof useAdding>;
