'use client';

import { Undo2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { lastUndoable, undoOf } from '@/core/record/undo';
import { clockTime, MINUTE } from '@/core/time/local';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { aboutTap } from '../live/tap-words';
import type { UndoProps } from './last-acts';

const LastActs = dynamic(() => import('./last-acts').then((module) => module.LastActs), { ssr: false });

/** Takes back the last act of whoever is at the tablet, or one of the team's. */
export function UndoLast(props: UndoProps) {
  const say = useWords();
  const [open, setOpen] = useState(false);
  const { record, events, doughs, me, zone, now } = props;
  const last = lastUndoable(events, me.id);
  const mine = last && now - last.at < 60 * MINUTE ? last : null;
  const isAnything = events.some(({ at }) => now - at < 240 * MINUTE);
  if (!mine && !isAnything) return null;
  return (
    <div className="mt-4 flex flex-wrap gap-3">
      {mine && (
        <Button
          floor
          className="flex items-center gap-3 py-1 text-left"
          onClick={() => void record(undoOf(mine))}
        >
          <Undo2 aria-hidden size={22} className="shrink-0" />
          <span>
            {say.rich('bench.undo', {
              span: (words) => <span className="text-base text-quiet">{words}</span>,
              about: aboutTap(
                say,
                mine,
                doughs.find(({ id }) => id === mine.doughId),
              ),
              time: clockTime(mine.at, zone),
            })}
          </span>
        </Button>
      )}
      {isAnything && (
        <Button floor onClick={() => setOpen(true)}>
          {say('bench.lastTaps')}
        </Button>
      )}
      {open && <LastActs {...props} onClose={() => setOpen(false)} />}
    </div>
  );
}
