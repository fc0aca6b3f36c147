'use client';

import type { Person } from '@/core/bakery/people';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { FloorEvent, Recording } from '@/core/record/events';
import { lastActs, undoOf } from '@/core/record/undo';
import { mayUndo } from '@/core/shopfloor/rights';
import { clockTime, MINUTE } from '@/core/time/local';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { aboutTap } from '../live/tap-words';

export interface UndoProps {
  record: (recording: Recording) => Promise<void>;
  events: readonly FloorEvent[];
  doughs: readonly DoughForecast[];
  /** Whoever is at the tablet. */
  me: Person;
  people: readonly Person[];
  zone: string;
  now: number;
}

/** How far back, and how many: a slip is seen soon, or not in this list. */
const SHOWN = { minutes: 240, most: 15 };

/** What the team tapped last, each with its dough and who it was, to take back what was a slip. */
export function LastActs({ onClose, ...props }: UndoProps & { onClose: () => void }) {
  const say = useWords();
  const { record, events, doughs, me, people, zone, now } = props;
  const acts = lastActs(events, { since: now - SHOWN.minutes * MINUTE, most: SHOWN.most });
  return (
    <Sheet open onOpenChange={onClose} title={say('bench.lastTaps')}>
      <ul className="grid gap-px">
        {acts.map((event) => {
          const about = aboutTap(
            say,
            event,
            doughs.find(({ id }) => id === event.doughId),
          );
          return (
            <li
              key={event.id}
              className="grid grid-cols-[4.5rem_1fr_auto] items-center gap-3 border-b border-hairline py-2 text-lg"
            >
              <span className="font-semibold tabular-nums">{clockTime(event.at, zone)}</span>
              <span>
                {about}
                <span className="block text-base text-quiet">
                  {people.find(({ id }) => id === event.personId)?.name}
                </span>
              </span>
              {mayUndo(me, event) && (
                <Button
                  floor
                  aria-label={say('bench.undoThis', { about })}
                  onClick={() => void record(undoOf(event))}
                >
                  {say('bench.takeBack')}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </Sheet>
  );
}
