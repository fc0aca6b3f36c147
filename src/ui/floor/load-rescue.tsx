'use client';

import { useMemo } from 'react';
import { loadsInTrouble } from '@/core/shopfloor/load-rescue';
import type { Recording } from '@/core/record/events';
import { conditionsOf, type Board } from '@/core/wire/board';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { useMinute } from '../live/clock';
import { nearTime } from './words';

/** Loads that a broken machine puts in danger: what saves each, one tap a way. */
export function LoadRescue({ board, onRecord }: { board: Board; onRecord: (recording: Recording) => void }) {
  const say = useWords();
  const now = useMinute();
  const { zone } = board.house;
  const loads = useMemo(() => {
    const { machines, decks, places } = board;
    return loadsInTrouble(board.doughs, { conditions: conditionsOf(board), machines, decks, places }, now);
  }, [board, now]);
  if (loads.length === 0) return null;
  return (
    <section
      aria-label={say('floor.loadsInTrouble')}
      className="grid gap-2 border-b border-l-4 border-hairline border-l-warn bg-flour px-5 py-2 print:hidden"
    >
      {loads.map(({ dough, step, machine, keepsUntil, ways }) => (
        <div
          key={`${dough} ${step.key}`}
          className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1"
        >
          <p className="text-xl">
            <b>{dough}</b>, {say.coded(step.label)}:{' '}
            {say('floor.outKeepsUntil', { machine, time: nearTime(say, keepsUntil, now, zone) })}
          </p>
          <span className="flex flex-wrap gap-2">
            {ways.map(({ kind, into, until, recording }) => (
              <Button key={`${kind} ${into}`} floor onClick={() => onRecord(recording)}>
                {say('floor.rescue', { kind, into, time: nearTime(say, until, now, zone) })}
              </Button>
            ))}
            {ways.length === 0 && <span className="text-lg text-quiet">{say('floor.nothingSavesIt')}</span>}
          </span>
        </div>
      ))}
    </section>
  );
}
