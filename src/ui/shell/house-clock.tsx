'use client';

import { useWords } from '../kit/words';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { clockTime } from '@/core/time/local';
import { Sheet } from '../kit/sheet';
import { useClock } from '../live/clock';

// Fetched when somebody opens it: no page waits for it.
const DemoPanel = dynamic(() => import('./demo-panel'), { ssr: false });

/** What time it is in the house. In the demo it says so, and can be paused, set and sped up. */
export function HouseClock({ zone }: { zone: string }) {
  const say = useWords();
  const { now, demo, rate, paused } = useClock();
  const [open, setOpen] = useState(false);
  const time = (
    <>
      <span className="text-lg text-quiet max-sm:text-base">{say.dayName(now, zone)}</span>{' '}
      <span className="text-3xl font-bold max-sm:text-2xl">{clockTime(now, zone)}</span>
    </>
  );
  if (!demo) return <p>{time}</p>;
  return (
    <>
      <button
        className="min-h-11 rounded border border-dashed border-edge px-3 py-0.5 text-left whitespace-nowrap max-[1100px]:px-2 max-sm:px-1.5"
        aria-label={say('shell.demoClock', { dayName: say.dayName(now, zone), time: clockTime(now, zone) })}
        onClick={() => setOpen(true)}
      >
        {time}
        <span className="ml-2 text-sm text-quiet max-[1100px]:hidden">
          {say.rich('shell.demoClockPausedRunningTimes', {
            span: (words) => <span className="max-2xl:hidden">{words}</span>,
            isPaused: paused,
            rate,
          })}
        </span>
      </button>
      <Sheet open={open} onOpenChange={setOpen} title={say('shell.demoClock2')}>
        {open && <DemoPanel zone={zone} />}
      </Sheet>
    </>
  );
}
