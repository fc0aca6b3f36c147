'use client';

import type { Board } from '@/core/wire/board';
import { AlarmBand } from './alarm-band';
import { FloorTop } from './floor-top';
import type { useAlarms } from './use-alarms';

/** The top of a floor screen: the others beside it, what is out, what somebody has to see to, and what the house has refused. */
export function FloorHead({
  board,
  calls,
  trouble = null,
}: {
  board: Board;
  calls: ReturnType<typeof useAlarms>;
  trouble?: string | null;
}) {
  return (
    <>
      <FloorTop board={board} />
      <AlarmBand
        open={calls.open}
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
    </>
  );
}
