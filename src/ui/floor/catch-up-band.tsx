'use client';

import dynamic from 'next/dynamic';
import { useContext, useState } from 'react';
import { isLongOver, lastRecorded, hasStopped, unrecorded } from '@/core/shopfloor/catch-up';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { Recording } from '@/core/record/events';
import { mayDo } from '@/core/shopfloor/rights';
import type { Board } from '@/core/wire/board';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { useMinute } from '../live/clock';
import { useKept } from '../live/kept';
import { Who } from '../live/who';
import { nearTime } from './words';

// Fetched when somebody catches up; without a line the service worker has it.
const CatchUpSheet = dynamic(() => import('./catch-up-sheet').then((module) => module.CatchUpSheet), {
  ssr: false,
});

/** A dough that is over for so long is closed rather than entered step by step, ms. */
const LONG_OVER = 12 * 3_600_000;

/** Asks once, when nothing was recorded for long, what was done meanwhile; until somebody answers, or puts it off. */
export function CatchUpBand({
  board,
  doughs,
  onRecord,
}: {
  board: Board;
  doughs: readonly DoughForecast[];
  onRecord: (recording: Recording, at?: number) => void;
}) {
  const say = useWords();
  const who = useContext(Who);
  const now = useMinute();
  const { zone } = board.house;
  const [open, setOpen] = useState(false);
  const [putOff, setPutOff] = useKept('hefeteig-caught-up');
  const stopped = doughs.filter((dough) => hasStopped(dough, now, board.calls.quiet));
  const words = doughs.flatMap((dough) => lastRecorded(dough) ?? []);
  const since = words.length > 0 ? Math.max(...words) : null;
  // Put off until something is recorded again and then nothing for long.
  const question = `${since ?? 0}`;
  const mayAnswer = !who || mayDo(who, 'record-event');
  if (!mayAnswer || (!open && (stopped.length === 0 || putOff === question))) return null;
  const over = stopped.filter((dough) => isLongOver(dough, now - LONG_OVER));
  const steps = stopped
    .filter((dough) => !over.includes(dough))
    .reduce((sum, dough) => sum + unrecorded(dough, now).length, 0);
  return (
    <>
      {stopped.length > 0 && (
        <section
          aria-label={say('floor.catchUp')}
          className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2 border-b border-hairline bg-flour px-5 py-2 print:hidden"
        >
          <p className="text-xl">
            {say('floor.nothingRecordedSince', {
              isEver: since !== null,
              time: nearTime(say, since ?? now, now, zone),
              steps,
              doughs: over.length,
            })}
          </p>
          <span className="flex gap-2">
            <Button floor look="act" onClick={() => setOpen(true)}>
              {say('floor.catchUp')}
            </Button>
            <Button floor onClick={() => setPutOff(question)}>
              {say('floor.notNow')}
            </Button>
          </span>
        </section>
      )}
      {open && <CatchUpSheet {...{ board, stopped, over, now, onRecord }} onClose={() => setOpen(false)} />}
    </>
  );
}
