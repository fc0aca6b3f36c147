'use client';

import { useMemo, useState } from 'react';
import type { FloorDough } from '@/core/floor/agenda';
import { alarms, type Alarm } from '@/core/floor/alarms';
import type { Board } from '@/core/floor/board';
import { send } from '../live/command';

/** The alarms of a board that are due, and how to take one; what is taken here is quiet at once. */
export function useAlarms(board: Board, doughs: readonly FloorDough[], now: number, personId: number) {
  const [own, setOwn] = useState<{ alarm: string; personId: number; at: number }[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const due = useMemo(() => {
    const { leads, taken, excursions, coolingRule } = board.calls;
    return alarms(doughs, now, {
      ...{ leads, excursions, coolingRule, zone: board.house.zone },
      taken: [...own, ...taken],
    });
  }, [board, doughs, now, own]);
  const take = async ({ id }: Alarm) => {
    setTrouble(null);
    setOwn((before) => [...before, { alarm: id, personId, at: now }]);
    const answer = await send('take-alarm', { alarm: id });
    if (answer.ok) return;
    setOwn((before) => before.filter(({ alarm }) => alarm !== id));
    setTrouble(answer.message);
  };
  return { open: due.filter(({ takenBy }) => takenBy === null), due, take, trouble };
}
