'use client';

import { useWords } from '../kit/words';
import { Pause, Play } from 'lucide-react';
import { useState } from 'react';
import { RATES } from '@/core/time/clock';
import { addLocalDays, clockTime, dayName, formatLocal } from '@/core/time/local';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { DayTimeFields, localText } from '../kit/day-time';
import { useClock } from '../live/clock';
import { send } from '../live/command';

/** What time it is in the house. In the demo it says so, and can be paused, set and sped up. */
export function HouseClock({ zone }: { zone: string }) {
  const say = useWords();
  const { now, demo, rate, paused } = useClock();
  const [open, setOpen] = useState(false);
  const time = (
    <>
      <span className="text-lg text-quiet">{dayName(now, zone)}</span>{' '}
      <span className="text-3xl font-bold">{clockTime(now, zone)}</span>
    </>
  );
  if (!demo) return <p>{time}</p>;
  return (
    <>
      <button
        className="rounded border border-dashed border-edge px-3 py-0.5 text-left"
        aria-label={say('shell.demoClock', { dayName: dayName(now, zone), time: clockTime(now, zone) })}
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
        <ClockControls zone={zone} />
      </Sheet>
    </>
  );
}

function ClockControls({ zone }: { zone: string }) {
  const say = useWords();
  const { now, rate, paused } = useClock();
  const [wanted, setWanted] = useState(() => {
    const shown = formatLocal(now, zone);
    return { day: shown.slice(0, 10), time: shown.slice(11) };
  });
  const [first] = useState(() => addLocalDays(now, -2, zone));
  const [trouble, setTrouble] = useState<string | null>(null);
  const change = async (input: { shows?: string; rate?: number; paused?: boolean }) => {
    const answer = await send('set-clock', input);
    setTrouble(answer.ok ? null : answer.message);
  };
  return (
    <div className="grid gap-4">
      <p className="text-[15px] text-quiet">{say('shell.theDemoRunsOnIts')}</p>
      <div className="flex gap-2">
        <Button onClick={() => change({ paused: !paused })} className="flex items-center gap-2">
          {say.rich('shell.goOnPause', {
            value: () => (paused ? <Play aria-hidden size={16} /> : <Pause aria-hidden size={16} />),
            isPaused: paused,
          })}
        </Button>
        {RATES.map((factor) => (
          <Button
            key={factor}
            aria-pressed={rate === factor}
            onClick={() => change({ rate: factor, paused: false })}
          >
            {factor}×
          </Button>
        ))}
      </div>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void change({ shows: localText(wanted) });
        }}
      >
        <div className="flex-1">
          <DayTimeFields
            label={say('shell.setTo')}
            value={wanted}
            onChange={setWanted}
            from={first}
            days={9}
            zone={zone}
          />
        </div>
        <Button type="submit">{say('shell.set')}</Button>
      </form>
      {trouble && (
        <p role="alert" className="text-warn">
          {trouble}
        </p>
      )}
    </div>
  );
}
