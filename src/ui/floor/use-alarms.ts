'use client';

import { useEffect, useMemo, useState } from 'react';
import type { DoughForecast } from '@/core/forecast/forecast';
import { type AlarmGroup, groupAlarms } from '@/core/shopfloor/alarm-groups';
import { alarms, type AlarmTaken } from '@/core/shopfloor/alarms';
import { isOnCall } from '@/core/shopfloor/on-call';
import type { Board } from '@/core/wire/board';
import { REFUSED } from '@/core/wire/answer';
import { send } from '../live/command';
import { keepCall, onSent, waitingCalls, type FloorCall } from '../live/outbox';
import { useWords } from '../kit/words';

const takenBy = ({ name, input, personId, at }: FloorCall): AlarmTaken[] =>
  name === 'take-alarm' ? [{ alarm: String(input.alarm), personId, at }] : [];

/** The alarms of a board that are due, and how to take one; what is taken here is quiet at once. */
export function useAlarms(board: Board, doughs: readonly DoughForecast[], now: number, personId: number) {
  const say = useWords();
  const [own, setOwn] = useState<AlarmTaken[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const due = useMemo(() => {
    const { taken, ...calls } = board.calls;
    return alarms(doughs, now, {
      ...calls,
      ...{ zone: board.house.zone, machines: board.machines },
      taken: [...own, ...taken],
    });
  }, [board, doughs, now, own]);
  useEffect(() => {
    // What an earlier page has taken without a line.
    void waitingCalls().then((calls) => setOwn((before) => [...calls.flatMap(takenBy), ...before]));
    return onSent((outcome) => {
      if (!('call' in outcome) || outcome.call.name !== 'take-alarm' || outcome.answer.ok) return;
      // Anything else waits on.
      if (outcome.answer.status !== REFUSED) return;
      const [refused] = takenBy(outcome.call);
      setOwn((before) => before.filter(({ alarm }) => alarm !== refused?.alarm));
      setTrouble(outcome.answer.message);
    });
  }, []);
  /** Quiet here at once. */
  const hush = ({ all }: AlarmGroup) => {
    setTrouble(null);
    setOwn((before) => [...before, ...all.map(({ id }) => ({ alarm: id, personId, at: now }))]);
  };
  const take = (group: AlarmGroup) => {
    hush(group);
    for (const { id, message } of group.all)
      keepCall({ name: 'take-alarm', input: { alarm: id }, personId, at: now }, say.coded(message));
  };
  const takeOut = async (alarm: AlarmGroup) => {
    if (!alarm.thaw) return;
    const { productId, pieces, dueAt } = alarm.thaw;
    const answer = await send('move-stock', { productId, amount: -pieces, forDue: dueAt });
    // What is out of the freezer calls nobody any more: there is nothing left to take.
    if (answer.ok) hush(alarm);
    else setTrouble(answer.message);
  };
  const open = useMemo(() => groupAlarms(due.filter(({ takenBy }) => takenBy === null)), [due]);
  return {
    open,
    /** Off shift nobody is called. */
    called: isOnCall(personId, now, { presences: board.presences, doughs }) ? open : [],
    take,
    takeOut: (alarm: AlarmGroup) => void takeOut(alarm),
    trouble,
  };
}
