'use client';

import { weekdays } from '@/words/weekdays';
import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { useState } from 'react';
import type { Person } from '@/core/bakery/people';
import type { HouseBook } from '@/core/bakery/house-book';
import type { HouseRecord } from '@/core/bakery/house-record';
import { clockOfDay, dayMonth, dayTime } from '@/core/time/local';
import { Button } from '../kit/button';
import { BusySheet } from './busy-sheet';
import { ExceptionSheet } from './exception-sheet';
import { HeldNote } from './held-note';
import { MachineSheet } from './machine-sheet';
import { PersonSheet } from './person-sheet';
import { RecordView } from './record-view';
import { useChange } from './use-change';

type Open = { sheet: 'person' | 'machine'; id: string } | { sheet: 'exception' | 'busy' } | null;

/** Who works when and can do what, what the machines take, and what is different on single days. */
export function HouseView({
  book,
  record,
  zone,
  person,
}: {
  book: HouseBook;
  record: HouseRecord;
  zone: string;
  person: Person;
}) {
  const say = useWords();
  const [open, setOpen] = useState<Open>(null);
  const { change, held, calm } = useChange();
  const mayPlan = person.role === 'planner';
  const close = () => setOpen(null);
  const nameOf = (personId: number | null) => book.people.find(({ id }) => id === personId)?.name ?? '';
  const machineOf = (machineId: string | null) => book.machines.find(({ id }) => id === machineId);
  const labelOf = (machineId: string | null) => machineOf(machineId)?.label ?? '';
  const unitOf = (machineId: string | null) => machineOf(machineId)?.unit ?? '';
  return (
    <main className="mx-auto grid w-full max-w-7xl gap-x-8 gap-y-6 p-4 lg:grid-cols-[1.4fr_1fr]">
      <h1 className="sr-only">{say('house.house')}</h1>
      <section aria-label={say('house.people')}>
        <div className="flex items-baseline justify-between border-b border-edge pb-1">
          <h2 className="text-2xl font-bold">{say('house.people')}</h2>
          {mayPlan && (
            <Button onClick={() => setOpen({ sheet: 'person', id: '' })}>{say('house.addAPerson')}</Button>
          )}
        </div>
        <ShiftStrip />
        <ul>
          {book.people.map(({ id, name, role, team, skills, shifts }) => (
            <li
              key={id}
              className="grid grid-cols-[8.5rem_1fr] items-center gap-3 border-b border-hairline py-2"
            >
              <div>
                {mayPlan ? (
                  <button
                    className="min-h-6 text-lg font-semibold underline-offset-4 hover:underline"
                    onClick={() => setOpen({ sheet: 'person', id: String(id) })}
                  >
                    {name}
                  </button>
                ) : (
                  <p className="text-lg font-semibold">{name}</p>
                )}
                <p className="text-[15px] text-quiet">
                  {say('house.planner', {
                    isRole: role === 'planner',
                    team,
                    part: skills.length > 0 ? `: ${skills.join(', ')}` : '',
                  })}
                </p>
              </div>
              <svg
                viewBox="0 0 700 26"
                preserveAspectRatio="none"
                className="h-7 w-full"
                role="img"
                aria-label={shiftWords(say, shifts)}
              >
                {weekdays(say.language, 'long').map((_, day) => (
                  <path key={day} d={`M${day * 100} 0V26`} stroke="var(--hairline)" />
                ))}
                {shifts.flatMap(({ weekday, startMinute, endMinute }) => {
                  const from = (weekday - 1) * 1440 + startMinute;
                  const length = (endMinute - startMinute + 1440) % 1440 || 1440;
                  // Sunday's night goes on at the left, on Monday.
                  return [from, from - 7 * 1440].map((at) => (
                    <rect
                      key={`${weekday} ${at}`}
                      x={(at / 1440) * 100}
                      width={(length / 1440) * 100}
                      y={6}
                      height={14}
                      fill="var(--edge)"
                    />
                  ));
                })}
              </svg>
            </li>
          ))}
        </ul>
      </section>
      <div className="grid content-start gap-6">
        <section aria-label={say('house.machines')}>
          <h2 className="border-b border-edge pb-1 text-2xl font-bold">{say('house.machines')}</h2>
          <ul>
            {book.machines.map(({ id, label, capacity, unit, changeover }) => (
              <li key={id} className="flex items-baseline gap-3 border-b border-hairline py-1.5 text-[17px]">
                {mayPlan ? (
                  <button
                    className="min-h-6 font-semibold underline-offset-4 hover:underline"
                    onClick={() => setOpen({ sheet: 'machine', id })}
                  >
                    {label}
                  </button>
                ) : (
                  <span className="font-semibold">{label}</span>
                )}
                <span>
                  {capacity} {unit}
                </span>
                {changeover > 0 && (
                  <span className="ml-auto text-[15px] text-quiet">
                    {say('house.minForAnotherSetting', { changeover })}
                  </span>
                )}
              </li>
            ))}
          </ul>
        </section>
        <section aria-label={say('house.exceptions')}>
          <div className="flex items-baseline justify-between border-b border-edge pb-1">
            <h2 className="text-2xl font-bold">{say('house.differentOnSingleDays')}</h2>
            {mayPlan && (
              <span className="flex gap-2">
                <Button look="quiet" onClick={() => setOpen({ sheet: 'busy' })}>
                  {say('house.readACalendar')}
                </Button>
                <Button onClick={() => setOpen({ sheet: 'exception' })}>{say('house.add')}</Button>
              </span>
            )}
          </div>
          <HeldNote held={open ? null : held} onCalm={calm} />
          {book.exceptions.length === 0 && (
            <p className="py-2 text-lg text-quiet">{say('house.everythingIsAsEveryWeek')}</p>
          )}
          <ul>
            {book.exceptions.map(({ id, kind, personId, machineId, units, start, end, note }) => (
              <li
                key={`${kind}${id}`}
                className="flex items-baseline gap-3 border-b border-hairline py-1.5 text-[17px]"
              >
                <span>
                  {say.rich('house.worksTo', {
                    b: (words) => <b>{words}</b>,
                    value: machineId === null ? nameOf(personId) : labelOf(machineId),
                    isKind: kind === 'extra',
                    part:
                      machineId === null
                        ? say('house.isAway')
                        : units === null
                          ? say('house.isOut')
                          : say('house.hasLess', { units, unitOf: unitOf(machineId) }),
                    time: dayTime(start, zone),
                    span: (words) => <span className="text-quiet">{words}</span>,
                    dayMonth: dayMonth(start, zone),
                    time2: dayTime(end, zone),
                    note: () => note && <span className="text-quiet">, {note}</span>,
                  })}
                </span>
                {mayPlan && (
                  <Button
                    look="quiet"
                    className="ml-auto"
                    onClick={() => void change('remove-exception', { kind, id })}
                  >
                    {say('house.remove')}
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </section>
      </div>
      <RecordView {...{ record, zone, mayPlan }} />
      {open?.sheet === 'person' && (
        <PersonSheet person={book.people.find(({ id }) => String(id) === open.id) ?? null} onClose={close} />
      )}
      {open?.sheet === 'machine' && (
        <MachineSheet machine={book.machines.find(({ id }) => id === open.id) ?? null} onClose={close} />
      )}
      {open?.sheet === 'busy' && <BusySheet book={book} zone={zone} onClose={close} />}
      {open?.sheet === 'exception' && <ExceptionSheet book={book} onClose={close} />}
    </main>
  );
}

/** The days above the strips of shifts. */
function ShiftStrip() {
  const say = useWords();
  return (
    <div className="grid grid-cols-[8.5rem_1fr] gap-3 pt-1" aria-hidden>
      <span />
      <span className="grid grid-cols-7 font-label text-[15px] font-medium text-quiet">
        {weekdays(say.language, 'long').map((day) => (
          <span key={day}>{day.slice(0, 3)}</span>
        ))}
      </span>
    </div>
  );
}

function shiftWords(say: Say, shifts: HouseBook['people'][number]['shifts']): string {
  if (shifts.length === 0) return say('house.noWeeklyShifts');
  return shifts
    .map(({ weekday, startMinute, endMinute }) => {
      return say('house.shiftFromTo', {
        day: weekdays(say.language, 'long')[weekday - 1] ?? '',
        from: clockOfDay(startMinute),
        to: clockOfDay(endMinute),
      });
    })
    .join(', ');
}
