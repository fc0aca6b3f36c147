'use client';

import type { OpenSheet } from './open-sheet';
import { weekdays } from '@/words/weekdays';
import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import type { Person, Skill } from '@/core/bakery/people';
import type { HouseBook } from '@/core/bakery/house-book';
import { clockOfDay } from '@/core/time/local';
import { Button } from '../kit/button';
import type { Shift } from '@/core/time/shifts';

interface PersonRowProps {
  person: Person & { skills: Skill[]; shifts: Shift[] };
  mayPlan: boolean;
  onOpen: (open: OpenSheet) => void;
}

/** A person: role, skills and shifts. */
function PersonRow({ person, mayPlan, onOpen }: PersonRowProps) {
  const say = useWords();
  const { id, name, role, team, skills, shifts } = person;
  return (
    <li className="grid grid-cols-[8.5rem_1fr] items-center gap-3 border-b border-hairline py-2">
      <div>
        {mayPlan ? (
          <button
            className="min-h-6 text-lg font-semibold underline-offset-4 hover:underline"
            onClick={() => onOpen({ sheet: 'person', id: String(id) })}
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
            part:
              skills.length > 0 ? `: ${skills.map((skill) => say('names.skill', { skill })).join(', ')}` : '',
          })}
        </p>
      </div>
      <WeekStrip shifts={shifts} />
    </li>
  );
}

interface WeekStripProps {
  shifts: Shift[];
}

/** A person's shifts along the week, Monday to Sunday. */
function WeekStrip({ shifts }: WeekStripProps) {
  const say = useWords();
  return (
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

interface PeopleSectionProps {
  mayPlan: boolean;
  onOpen: (open: OpenSheet) => void;
  book: HouseBook;
}

/** Who works here, when, and what each can do. */
export function PeopleSection({ mayPlan, onOpen, book }: PeopleSectionProps) {
  const say = useWords();
  return (
    <section aria-label={say('house.people')}>
      <div className="flex items-baseline justify-between border-b border-edge pb-1">
        <h2 className="text-2xl font-bold">{say('house.people')}</h2>
        {mayPlan && (
          <Button onClick={() => onOpen({ sheet: 'person', id: '' })}>{say('house.addAPerson')}</Button>
        )}
      </div>
      <ShiftStrip />
      <ul>
        {book.people.map((person) => (
          <PersonRow key={person.id} person={person} mayPlan={mayPlan} onOpen={onOpen} />
        ))}
      </ul>
    </section>
  );
}
