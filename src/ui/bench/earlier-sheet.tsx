'use client';

import { useState } from 'react';
import { entriesOf } from '@/core/shopfloor/catch-up-entries';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { isHandsOn } from '@/core/record/state';
import type { Recording } from '@/core/record/events';
import { clockTime, MINUTE, type Instant } from '@/core/time/local';
import { ClockField } from '../floor/clock-field';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';

/** How long ago it may have been, minutes, one tap each. */
const AGO = [5, 10, 15, 30, 60];

/** A step that was begun, or done, at an earlier time than now. */
export function EarlierSheet({
  item: { dough, step, state },
  now,
  zone,
  record,
  onClose,
}: {
  item: AgendaItem;
  now: Instant;
  zone: string;
  record: (recording: Recording, at?: Instant) => Promise<unknown>;
  onClose: () => void;
}) {
  const say = useWords();
  const isRunning = state.startedAt !== null;
  const lasts = step.target * MINUTE;
  const hands = isHandsOn(step);
  const usual = Math.min(now, isRunning ? (state.startedAt ?? now) + lasts : step.plannedEnd);
  const [end, setEnd] = useState<Instant | null>(usual);
  const [start, setStart] = useState<Instant | null>(state.startedAt ?? usual - lasts);
  const [isGoing, setGoing] = useState(false);
  const begin = isRunning ? state.startedAt : start;
  const fits = begin !== null && (isGoing || (end !== null && end >= begin));
  const choose = (at: Instant) => {
    if (isGoing) return setStart(at);
    setEnd(at);
    if (!isRunning && (start === null || start > at)) setStart(at - lasts);
  };
  const recordIt = () => {
    if (!fits || begin === null) return;
    const of = { doughId: dough.id, stepKey: step.key };
    if (isGoing) void record({ ...of, kind: 'start' }, begin);
    else if (end !== null)
      for (const { recording, at } of entriesOf(dough, { step, start: begin, end, isRunning }))
        void record(recording, at);
    onClose();
  };
  const name = say.coded(step.label);
  return (
    <Sheet
      open
      onOpenChange={(to) => !to && onClose()}
      title={say('floor.whenWasIt', { step: `${dough.name}, ${name}` })}
    >
      <Offers
        planned={
          step.plannedStart < now ? (isGoing ? step.plannedStart : Math.min(now, step.plannedEnd)) : null
        }
        {...{ now, zone }}
        onChoose={choose}
      />
      <div className="mb-4 flex flex-wrap items-end gap-6">
        {hands && !isRunning && (
          <label className="grid gap-1 text-lg">
            {say('floor.startedAt')}
            <ClockField
              at={start ?? now}
              label={say('floor.startedAt')}
              onEnter={setStart}
              {...{ now, zone }}
            />
          </label>
        )}
        {!isGoing && (
          <label className="grid gap-1 text-lg">
            {say('floor.doneAt')}
            <ClockField
              at={end ?? now}
              label={say('floor.doneAt')}
              isWrong={!fits}
              onEnter={setEnd}
              {...{ now, zone }}
            />
          </label>
        )}
        {hands && !isRunning && (
          <label className="flex min-h-14 items-center gap-3 text-xl">
            <input
              type="checkbox"
              className="size-7 accent-ink"
              checked={isGoing}
              onChange={() => setGoing(!isGoing)}
            />
            {say('floor.stillGoing')}
          </label>
        )}
      </div>
      <Button look="act" floor className="w-full" disabled={!fits} onClick={recordIt}>
        {say('floor.recordTimes')}
      </Button>
    </Sheet>
  );
}

/** Times that are often meant, one tap each. */
function Offers({
  planned,
  now,
  zone,
  onChoose,
}: {
  /** Null: it is planned for later. */
  planned: Instant | null;
  now: Instant;
  zone: string;
  onChoose: (at: Instant) => void;
}) {
  const say = useWords();
  return (
    <div className="mb-4 flex flex-wrap gap-2">
      {planned !== null && (
        <Button floor onClick={() => onChoose(planned)}>
          {say('floor.asPlanned', { time: clockTime(planned, zone) })}
        </Button>
      )}
      {AGO.map((minutes) => (
        <Button key={minutes} floor onClick={() => onChoose(now - minutes * MINUTE)}>
          {say('floor.minutesAgo', { minutes })}
        </Button>
      ))}
    </div>
  );
}
