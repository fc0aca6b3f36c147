'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { RoomCourse, RoomDay } from '@/core/climate/room-course';
import { meanOf } from '@/core/climate/room-course';
import { dayOf } from '@/core/demand/orders';
import type { Place } from '@/core/heat/places';
import { addLocalDays, clockTime, MINUTE } from '@/core/time/local';
import { measure } from '@/core/units/measure';
import { showCelsius } from '@/core/units/reader';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useWords } from '../kit/words';
import { useMinute } from '../live/clock';
import { send } from '../live/command';
import { useUnits } from '../live/units';
import { temperatureColour } from '../thread/temperature';
import { useTyped } from '../workbench/use-typed';
import { WeatherFile } from './weather-file';

interface Props {
  rooms: readonly Pick<Place, 'id' | 'label'>[];
  courses: Readonly<Record<string, { course?: RoomCourse }>>;
  told: readonly (RoomDay & { place: string; by: string })[];
  /** Until when a weather file says anything; null where there is none. */
  weatherUntil: number | null;
  zone: string;
}

const HOUR = 60 * MINUTE;
/** Every so many hours a temperature is shown, for so many of them. */
const SHOWN = { every: 3, count: 9 };
const DAYS = 3;

/** How the rooms are expected to go on: by hour, and what somebody knows better. Waits of those hours are worked out with it. */
export function DaysAhead({ rooms, courses, told, weatherUntil, zone }: Props) {
  const say = useWords();
  const now = useMinute();
  if (rooms.length === 0) return null;
  return (
    <section aria-labelledby="ahead-heading" className="grid gap-4">
      <div>
        <h2 id="ahead-heading" className="text-2xl font-semibold">
          {say('rooms.daysAhead')}
        </h2>
        <p className="text-quiet">{say('rooms.daysAheadAbout')}</p>
      </div>
      {rooms.map(({ id, label }) => {
        const course = courses[id]?.course;
        return (
          <div key={id} className="grid gap-2">
            <h3 className="text-xl font-semibold">{say.named(label)}</h3>
            {course ? (
              <CourseRow {...{ course, zone, now }} />
            ) : (
              <p className="text-quiet">{say('rooms.noCourse')}</p>
            )}
            <ul className="grid gap-1">
              {Array.from({ length: DAYS }, (_, i) => addLocalDays(now, i, zone)).map((day) => (
                <DayForm
                  key={`${day} ${told.find((one) => isOf(one, id, day, zone))?.warmest ?? ''}`}
                  place={id}
                  {...{ day, zone }}
                  told={told.find((one) => isOf(one, id, day, zone)) ?? null}
                />
              ))}
            </ul>
          </div>
        );
      })}
      <WeatherFile {...{ zone }} until={weatherUntil} />
    </section>
  );
}

const isOf = (one: RoomDay & { place: string }, place: string, day: number, zone: string) =>
  one.place === place && dayOf(one.day, zone) === dayOf(day, zone);

function CourseRow({ course, zone, now }: { course: RoomCourse; zone: string; now: number }) {
  const [units] = useUnits();
  const from = Math.ceil(now / HOUR) * HOUR;
  return (
    <ol className="flex flex-wrap gap-px">
      {Array.from({ length: SHOWN.count }, (_, i) => from + i * SHOWN.every * HOUR).map((at) => {
        const celsius = meanOf(course, at - HOUR / 2, at + HOUR / 2);
        return (
          <li
            key={at}
            className="grid min-w-14 justify-items-center border-t-4 px-1 pt-1"
            style={{ borderColor: temperatureColour(celsius) }}
          >
            <span className="text-[15px] text-quiet tabular-nums">{clockTime(at, zone)}</span>
            <b className="tabular-nums">{showCelsius(Math.round(celsius), units)}</b>
          </li>
        );
      })}
    </ol>
  );
}

interface DayFormProps {
  place: string;
  day: number;
  zone: string;
  told: (RoomDay & { by: string }) | null;
}

/** The coolest and the warmest that somebody expects of a day. */
function DayForm({ place, day, zone, told }: DayFormProps) {
  const say = useWords();
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const { read, field } = useTyped({
    coolest: told ? measure('celsius', told.coolest) : '',
    warmest: told ? measure('celsius', told.warmest) : '',
  });
  const tell = async (expected: { coolest: number; warmest: number } | null) => {
    const answer = await send('tell-room-day', { place, day: dayOf(day, zone), expected });
    setTrouble(answer.ok ? null : answer.message);
    if (answer.ok) router.refresh();
  };
  const keep = () => {
    const expected = { coolest: read.celsius('coolest'), warmest: read.celsius('warmest') };
    if (Object.values(expected).some(Number.isNaN)) return setTrouble(say('common.thatIsNotATemperature'));
    return void tell(expected);
  };
  const name = say.dayName(day, zone);
  return (
    <li>
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <span className="w-12 pb-2 font-semibold">{name}</span>
        <div className="w-28">
          <Field
            label={say('rooms.coolest')}
            aria-label={say('rooms.coolestOn', { day: name })}
            {...field('coolest')}
          />
        </div>
        <div className="w-28">
          <Field
            label={say('rooms.warmest')}
            aria-label={say('rooms.warmestOn', { day: name })}
            {...field('warmest')}
          />
        </div>
        <Button type="submit" className="min-h-10">
          {say('rooms.keepDay')}
        </Button>
        {told && (
          <>
            <Button look="quiet" className="min-h-10" onClick={() => void tell(null)}>
              {say('rooms.forgetDay')}
            </Button>
            <span className="pb-2 text-[15px] text-quiet">{say('rooms.toldBy', { by: told.by })}</span>
          </>
        )}
      </form>
      {trouble && (
        <p role="alert" className="text-[15px] text-warn">
          {trouble}
        </p>
      )}
    </li>
  );
}
