'use client';

import type { AgendaItem } from '@/core/shopfloor/agenda';
import { clockTime } from '@/core/time/local';
import { useWords } from '../kit/words';
import { WallLine } from './wall-line';
import { WallPages } from './wall-pages';

/** What is being done, and by whom; what is next, by time. */
export function WallWork({
  running,
  next,
  coming,
  nameOf,
  zone,
}: {
  running: readonly AgendaItem[];
  next: readonly AgendaItem[];
  coming: readonly AgendaItem[];
  nameOf: (personId: number | null) => string;
  zone: string;
}) {
  const say = useWords();
  const key = ({ dough, step }: AgendaItem) => `${dough.id}/${step.key}`;
  const ahead = [...next, ...coming].sort((a, b) => a.step.dueAt - b.step.dueAt);
  return (
    <div className="flex min-h-0 flex-col gap-1">
      <WallPages
        title={say('wall.now')}
        empty={say('wall.nothingUnderWay')}
        lines={running.map((item) => (
          <WallLine
            key={key(item)}
            time={clockTime(item.step.start, zone)}
            what={say.coded(item.step.label)}
            about={item.dough.name}
            aside={nameOf(item.state.startedBy)}
          />
        ))}
      />
      <WallPages
        title={say('wall.next')}
        empty={say('wall.nothingNext')}
        lines={ahead.map((item) => (
          <WallLine
            key={key(item)}
            time={clockTime(item.step.dueAt, zone)}
            what={say.coded(item.step.label)}
            about={item.dough.name}
            aside={nameOf(item.state.takenBy)}
            isUrgent={item.inMinutes < -LATE}
          />
        ))}
      />
    </div>
  );
}

/** From so many minutes on work is late. */
const LATE = 5;
