'use client';

import type { OpenSheet } from './open-sheet';
import { unitWords } from '@/core/bakery/machine-words';
import { useWords } from '../kit/words';
import type { Exception, HouseBook } from '@/core/bakery/house-book';
import { Button } from '../kit/button';
import { HeldNote } from './held-note';
import { useChange } from './use-change';

interface ExceptionRowProps {
  exception: Exception;
  book: HouseBook;
  zone: string;
  /** Null for whoever may not change the house. */
  onRemove: (() => void) | null;
}

/** One day that differs: who or what, from when to when, and why. */
function ExceptionRow({ exception, book, zone, onRemove }: ExceptionRowProps) {
  const say = useWords();
  const { kind, personId, machineId, units, start, end, note } = exception;
  const machine = book.machines.find(({ id }) => id === machineId);
  const person = book.people.find(({ id }) => id === personId);
  return (
    <li className="flex items-baseline gap-3 border-b border-hairline py-1.5 text-[17px]">
      <span>
        {say.rich('house.worksTo', {
          b: (words) => <b>{words}</b>,
          value: (machineId === null ? person?.name : machine?.label) ?? '',
          isKind: kind === 'extra',
          part:
            machineId === null
              ? say('house.isAway')
              : units === null
                ? say('house.isOut')
                : say('house.hasLess', {
                    units,
                    unitOf: machine ? say.coded(unitWords(machine.kind, units)) : '',
                  }),
          time: say.dayTime(start, zone),
          span: (words) => <span className="text-quiet">{words}</span>,
          dayMonth: say.dayMonth(start, zone),
          time2: say.dayTime(end, zone),
          note: () => note && <span className="text-quiet">, {note}</span>,
        })}
      </span>
      {onRemove && (
        <Button look="quiet" className="ml-auto" onClick={onRemove}>
          {say('house.remove')}
        </Button>
      )}
    </li>
  );
}

interface ExceptionsSectionProps {
  book: HouseBook;
  zone: string;
  mayPlan: boolean;
  onOpen: (open: OpenSheet) => void;
}

/** What differs on single days from every other week. */
export function ExceptionsSection({ book, zone, mayPlan, onOpen }: ExceptionsSectionProps) {
  const say = useWords();
  const { change, held, calm } = useChange();
  return (
    <section aria-label={say('house.exceptions')}>
      <div className="flex items-baseline justify-between border-b border-edge pb-1">
        <h2 className="text-2xl font-bold">{say('house.differentOnSingleDays')}</h2>
        {mayPlan && (
          <span className="flex gap-2">
            <Button look="quiet" onClick={() => onOpen({ sheet: 'busy' })}>
              {say('house.readACalendar')}
            </Button>
            <Button onClick={() => onOpen({ sheet: 'exception' })}>{say('house.add')}</Button>
          </span>
        )}
      </div>
      <HeldNote held={held} onCalm={calm} />
      {book.exceptions.length === 0 && (
        <p className="py-2 text-lg text-quiet">{say('house.everythingIsAsEveryWeek')}</p>
      )}
      <ul>
        {book.exceptions.map((exception) => (
          <ExceptionRow
            key={`${exception.kind}${exception.id}`}
            exception={exception}
            book={book}
            zone={zone}
            onRemove={
              mayPlan
                ? () => void change('remove-exception', { kind: exception.kind, id: exception.id })
                : null
            }
          />
        ))}
      </ul>
    </section>
  );
}
