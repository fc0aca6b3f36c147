'use client';

import { useWords } from '../kit/words';
import { Undo2 } from 'lucide-react';
import { clockTime } from '@/core/time/local';
import { Button } from '../kit/button';
import { eventWords } from '../live/tap-words';
import type { FloorEvent, Recording } from '../../core/record/events';
import type { DoughForecast } from '../../core/forecast/forecast';

interface UndoLastProps {
  record: (recording: Recording) => Promise<void>;
  undoable: FloorEvent;
  zone: string;
  last: FloorEvent | null;
  doughs: DoughForecast[];
}

/** Takes back the last act of whoever is at the tablet. */
export function UndoLast({ record, undoable, zone, last, doughs }: UndoLastProps) {
  const say = useWords();
  const lastStep =
    last && doughs.find(({ id }) => id === last.doughId)?.steps.find(({ key }) => key === last.stepKey);
  return (
    <Button
      floor
      className="mt-4 flex items-center gap-3"
      onClick={() =>
        void record({
          doughId: undoable.doughId,
          stepKey: undoable.stepKey,
          kind: 'undo',
          undoes: undoable.id,
        })
      }
    >
      <Undo2 aria-hidden size={22} />
      <span>
        {say.rich('bench.undo', {
          span: (words) => <span className="text-base text-quiet">{words}</span>,
          label: say.coded(lastStep?.label ?? 'note'),
          EVENTWORDS: eventWords(say)[undoable.kind],
          time: clockTime(undoable.at, zone),
        })}
      </span>
    </Button>
  );
}
