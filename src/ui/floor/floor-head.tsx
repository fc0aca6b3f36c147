'use client';

import { AlarmBand } from './alarm-band';
import { FloorTabs } from './floor-tabs';
import type { useAlarms } from './use-alarms';

/** The top of a floor screen: the others beside it, what somebody has to see to, and what the house has refused. */
export function FloorHead({
  calls,
  zone,
  trouble,
}: {
  calls: ReturnType<typeof useAlarms>;
  zone: string;
  trouble: string | null;
}) {
  return (
    <>
      <FloorTabs />
      <AlarmBand
        open={calls.open}
        trouble={calls.trouble}
        take={calls.take}
        takeOut={calls.takeOut}
        zone={zone}
      />
      {trouble && (
        <p role="alert" className="border-l-4 border-warn px-5 py-2 text-xl text-warn">
          {trouble}
        </p>
      )}
    </>
  );
}
