'use client';

import { useWords } from '../kit/words';
import { clockTime } from '@/core/time/local';
import { Button } from '../kit/button';
import { useRetold } from '../live/units';
import { type RefusedTap, seen } from '../live/refused';
import type { Somebody } from '../sign-in/names';

/** What could not be kept, by whose name it was recorded under, each with its reason. */
export function RefusedLines({
  refused,
  people,
  zone,
}: {
  refused: readonly RefusedTap[];
  people: readonly Somebody[];
  zone: string;
}) {
  const say = useWords();
  const told = useRetold();
  const nameOf = (personId: number) =>
    people.find(({ id }) => id === personId)?.name ?? say('shell.somebody');
  const persons = [...new Set(refused.map(({ personId }) => personId))];
  const byPerson = persons.map((id) => [id, refused.filter(({ personId }) => personId === id)] as const);
  return (
    <section
      aria-label={say('shell.notRecorded')}
      className="grid gap-3 border-b border-l-4 border-hairline border-l-warn px-5 py-2 text-lg print:hidden"
    >
      {byPerson.map(([personId, own]) => (
        <div key={personId} className="flex flex-wrap items-start justify-between gap-3">
          <div className="min-w-0 flex-1">
            <h2 className="font-bold">{say('shell.notRecorded2', { nameOf: nameOf(personId) })}</h2>
            <ul className="grid gap-1">
              {own.map(({ id, at, about, message }) => (
                <li key={id}>
                  {at !== null && <b>{clockTime(at, zone)} </b>}
                  {about && `${about}. `}
                  <span className="text-warn">{told(message)}</span>
                </li>
              ))}
            </ul>
          </div>
          <Button floor onClick={() => void seen(own.map(({ id }) => id))}>
            {say('shell.seen')}
          </Button>
        </div>
      ))}
    </section>
  );
}
