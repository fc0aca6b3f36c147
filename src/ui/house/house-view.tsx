'use client';

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

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

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
      <h1 className="sr-only">House</h1>
      <section aria-label="People">
        <div className="flex items-baseline justify-between border-b border-edge pb-1">
          <h2 className="text-2xl font-bold">People</h2>
          {mayPlan && <Button onClick={() => setOpen({ sheet: 'person', id: '' })}>Add a person</Button>}
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
                  {role === 'planner' ? 'planner' : team}
                  {skills.length > 0 && `: ${skills.join(', ')}`}
                </p>
              </div>
              <svg
                viewBox="0 0 700 26"
                preserveAspectRatio="none"
                className="h-7 w-full"
                role="img"
                aria-label={shiftWords(shifts)}
              >
                {DAYS.map((_, day) => (
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
        <section aria-label="Machines">
          <h2 className="border-b border-edge pb-1 text-2xl font-bold">Machines</h2>
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
                  <span className="ml-auto text-[15px] text-quiet">{changeover} min for another setting</span>
                )}
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="Exceptions">
          <div className="flex items-baseline justify-between border-b border-edge pb-1">
            <h2 className="text-2xl font-bold">Different on single days</h2>
            {mayPlan && (
              <span className="flex gap-2">
                <Button look="quiet" onClick={() => setOpen({ sheet: 'busy' })}>
                  Read a calendar
                </Button>
                <Button onClick={() => setOpen({ sheet: 'exception' })}>Add</Button>
              </span>
            )}
          </div>
          <HeldNote held={open ? null : held} onCalm={calm} />
          {book.exceptions.length === 0 && (
            <p className="py-2 text-lg text-quiet">Everything is as every week.</p>
          )}
          <ul>
            {book.exceptions.map(({ id, kind, personId, machineId, units, start, end, note }) => (
              <li
                key={`${kind}${id}`}
                className="flex items-baseline gap-3 border-b border-hairline py-1.5 text-[17px]"
              >
                <span>
                  <b>{machineId === null ? nameOf(personId) : labelOf(machineId)}</b>{' '}
                  {kind === 'extra'
                    ? 'works'
                    : machineId === null
                      ? 'is away'
                      : units === null
                        ? 'is out'
                        : `has ${units} ${unitOf(machineId)} less`}{' '}
                  {dayTime(start, zone)} <span className="text-quiet">{dayMonth(start, zone)}</span> to{' '}
                  {dayTime(end, zone)}
                  {note && <span className="text-quiet">, {note}</span>}
                </span>
                {mayPlan && (
                  <Button
                    look="quiet"
                    className="ml-auto"
                    onClick={() => void change('remove-exception', { kind, id })}
                  >
                    Remove
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
  return (
    <div className="grid grid-cols-[8.5rem_1fr] gap-3 pt-1" aria-hidden>
      <span />
      <span className="grid grid-cols-7 font-label text-[15px] font-medium text-quiet">
        {DAYS.map((day) => (
          <span key={day}>{day.slice(0, 3)}</span>
        ))}
      </span>
    </div>
  );
}

function shiftWords(shifts: HouseBook['people'][number]['shifts']): string {
  if (shifts.length === 0) return 'no weekly shifts';
  return shifts
    .map(({ weekday, startMinute, endMinute }) => {
      return `${DAYS[weekday - 1] ?? ''} ${clockOfDay(startMinute)} to ${clockOfDay(endMinute)}`;
    })
    .join(', ');
}
