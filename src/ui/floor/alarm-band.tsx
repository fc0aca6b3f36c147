'use client';

import { useWords } from '../kit/words';
import { Bell, BellOff } from 'lucide-react';
import { useState } from 'react';
import type { AlarmGroup } from '@/core/shopfloor/alarm-groups';
import { soundOf } from '@/core/shopfloor/alarm-sounds';
import { Button } from '../kit/button';
import { useMinute } from '../live/clock';
import { useSound, useSoundChoice } from '../live/sound';
import { nearTime } from './words';

/** Alarms shown at once; the rest is counted. */
const SHOWN = 2;

/** What somebody has to see to now, until somebody says that they do. */
export function AlarmBand({
  open,
  take,
  takeOut,
  trouble,
  zone,
}: {
  open: readonly AlarmGroup[];
  take: (alarm: AlarmGroup) => void;
  /** Tells that what was called for is out of the freezer. */
  takeOut: (alarm: AlarmGroup) => void;
  trouble: string | null;
  zone: string;
}) {
  const say = useWords();
  const now = useMinute();
  const [on, choose] = useSoundChoice();
  // They come with the most urgent first.
  useSound(open[0] ? soundOf(open[0].kind) : null);
  const [all, setAll] = useState(false);
  const shown = all ? open : open.slice(0, SHOWN);
  if (open.length === 0 && !trouble) return null;
  return (
    <section
      aria-label={say('floor.alarms')}
      className="flex items-start gap-3 border-b border-hairline bg-butter-wash px-5 py-2 print:hidden"
    >
      <div role="status" className="flex-1">
        <ul className="grid gap-2">
          {trouble && <li className="text-lg text-warn">{trouble}</li>}
          {shown.map((alarm) => (
            <li key={alarm.id} className="flex items-center justify-between gap-4">
              <span className="text-xl">
                <span className="font-bold">{nearTime(say, alarm.at, now, zone)}</span>{' '}
                {say.coded(alarm.message)}
              </span>
              <span className="flex shrink-0 flex-wrap justify-end gap-2">
                {alarm.thaw && (
                  <Button floor onClick={() => takeOut(alarm)}>
                    {say('common.theyAreOut')}
                  </Button>
                )}
                <Button floor onClick={() => take(alarm)}>
                  {say('floor.iSeeToIt')}
                </Button>
              </span>
            </li>
          ))}
        </ul>
      </div>
      <div className="grid gap-2">
        <button
          className="grid size-14 shrink-0 place-items-center rounded border border-edge bg-flour"
          onClick={() => choose(!on)}
          aria-pressed={on}
          aria-label={on ? say('floor.soundIsOnSwitchIt') : say('floor.soundIsOffSwitchIt')}
        >
          {on ? <Bell aria-hidden size={24} /> : <BellOff aria-hidden size={24} />}
        </button>
        {open.length > SHOWN && (
          <button
            className="min-h-14 rounded border border-edge bg-flour px-1 text-base leading-tight"
            onClick={() => setAll(!all)}
          >
            {all ? say('floor.less') : say('floor.more', { count: open.length - SHOWN })}
          </button>
        )}
      </div>
    </section>
  );
}
