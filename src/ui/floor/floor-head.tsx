'use client';

import type { DoughForecast } from '@/core/forecast/forecast';
import type { Recording } from '@/core/record/events';
import type { Board } from '@/core/wire/board';
import { AlarmBand } from './alarm-band';
import { FloorTop } from './floor-top';
import type { useAlarms } from './use-alarms';

/** The top of a floor screen: the others beside it, what is out, what somebody has to see to, and what the house has refused. */
export function FloorHead({
  board,
  doughs,
  record,
  calls,
  trouble = null,
}: {
  board: Board;
  doughs: readonly DoughForecast[];
  record: (recording: Recording, at?: number) => Promise<void>;
  calls: ReturnType<typeof useAlarms>;
  trouble?: string | null;
}) {
  return (
    // On a phone the one thing to do and its button come before anything else.
    <div className="max-sm:order-2">
      <FloorTop {...{ board, doughs }} onRecord={(...recorded) => void record(...recorded)} />
      <AlarmBand
        open={calls.called}
        trouble={calls.trouble}
        take={calls.take}
        takeOut={calls.takeOut}
        zone={board.house.zone}
      />
      {trouble && (
        <p role="alert" className="border-l-4 border-warn px-5 py-2 text-xl text-warn">
          {trouble}
        </p>
      )}
    </div>
  );
}
