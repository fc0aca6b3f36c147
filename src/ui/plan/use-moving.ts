'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { stepOf } from '@/core/schedule/supposed';
import type { WholePlan } from '@/core/schedule/whole-plan';
import { taskId } from '@/core/process/step-ref';
import { MINUTE } from '@/core/time/local';
import { send } from '../live/command';
import { useWhatIf } from './use-what-if';
import type { Words } from '@/core/codes/coded';

/** A step in the planner's hand: where it was, and where it is held now. */
export interface Moving {
  doughId: number;
  key: string;
  label: Words;
  from: number;
  start: number;
  /** The whole thread is taken along. */
  whole: boolean;
}

/** A drag lands on whole steps of this many minutes. */
const GRID = 5;

/** Taking a step somewhere else: by hand or by keys, supposed at once, kept on release, dropped with Escape. */
export function useMoving(whole: WholePlan, { basis, stay }: { basis: number; stay: number }) {
  const router = useRouter();
  const { supposed, suppose, forget, reach } = useWhatIf(whole, stay);
  const [moving, setMoving] = useState<Moving | null>(null);
  const [keeping, setKeeping] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const { origin } = whole;

  const to = (held: Moving, at: number) => {
    const start = origin + Math.round((at - origin) / (GRID * MINUTE)) * GRID * MINUTE;
    if (start === held.start && supposed) return;
    setMoving({ ...held, start });
    suppose({
      task: taskId(held.doughId, held.key),
      start: (start - origin) / MINUTE,
      whole: held.whole,
    });
  };

  const drop = () => {
    setMoving(null);
    forget();
  };

  return {
    moving,
    keeping,
    trouble,
    reach,
    /** What the drag would come to; null until the first answer. */
    supposed: moving ? supposed : null,
    begin(doughId: number, key: string, all = false) {
      const found = stepOf(whole, taskId(doughId, key));
      const [start] = whole.present[taskId(doughId, key)] ?? [];
      if (!found || start === undefined) return;
      setTrouble(null);
      const from = origin + start * MINUTE;
      setMoving({ doughId, key, label: found.step.label, from, start: from, whole: all });
    },
    to: (at: number) => moving && to(moving, at),
    by: (minutes: number) => moving && to(moving, moving.start + minutes * MINUTE),
    drop,
    async keep() {
      if (!moving || keeping) return;
      if (moving.start === moving.from) return drop();
      setKeeping(true);
      const { doughId, key, start, whole: all } = moving;
      const answer = await send('move-step', { doughId, key, start, whole: all, basis });
      setKeeping(false);
      drop();
      if (!answer.ok) setTrouble(answer.message);
      router.refresh();
    },
    async pin(doughId: number, key: string, pinned: boolean) {
      const answer = await send('pin-step', { doughId, key, pinned, basis });
      setTrouble(answer.ok ? null : answer.message);
      router.refresh();
    },
    async act(command: 'undo-plan' | 'redo-plan') {
      const answer = await send(command, {});
      setTrouble(answer.ok ? null : answer.message);
      router.refresh();
    },
  };
}

export type MovingHand = ReturnType<typeof useMoving>;
