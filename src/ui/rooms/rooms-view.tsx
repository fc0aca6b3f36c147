'use client';

import { fromNow } from '@/words/from-now';
import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { type ComponentProps, useState } from 'react';
import type { Person } from '@/core/bakery/people';
import type { Board } from '@/core/wire/board';
import { windowMisses } from '@/core/schedule/window-misses';
import { type Place, PLACE_KINDS } from '@/core/heat/places';
import { clockTime } from '@/core/time/local';
import { showCelsius } from '@/core/units/reader';
import { parseCelsius } from '@/core/units/temperature';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useMinute } from '../live/clock';
import { send } from '../live/command';
import { useFloor } from '../live/floor';
import { useUnits } from '../live/units';
import { DaysAhead } from './days-ahead';
import { FollowDough } from './follow-dough';
import { UnitChoices } from './unit-choices';
import { temperatureColour } from '../thread/temperature';

interface Props {
  places: Place[];
  board: Board;
  person: Person;
  /** What is known of the days ahead. */
  ahead: Pick<ComponentProps<typeof DaysAhead>, 'told' | 'weatherUntil'>;
}

/** What is warm and cold today, and which waits of the plan no longer fit it. */
export function RoomsView({ places, board, person, ahead }: Props) {
  const say = useWords();

  const now = useMinute();
  const { zone } = board.house;
  const { doughs } = useFloor(board, person.id, now);
  const off = doughs
    .filter(({ state }) => !state.finished)
    .map((dough) => ({ dough, windowMisses: windowMisses(dough) }))
    .filter(({ windowMisses: list }) => list.length > 0);
  return (
    <main className="grid flex-1 content-start gap-px bg-hairline lg:grid-cols-[1.3fr_1fr]">
      <section aria-label={say('rooms.temperaturesToday')} className="min-w-0 bg-flour p-5">
        <h1 className="mb-1 text-3xl font-bold">{say('rooms.rooms')}</h1>
        <p className="mb-3 text-quiet">{say('rooms.waterChillingAndProofsOf')}</p>
        <ul>
          {places.map((place) => (
            <PlaceRow key={place.id} place={place} now={now} zone={zone} />
          ))}
        </ul>
        <UnitChoices />
      </section>
      <div className="min-w-0 bg-ground p-5">
        <DaysAhead
          rooms={places.filter(({ kind, purpose }) => kind === 'room' && purpose === 'dough')}
          courses={board.today}
          {...ahead}
          zone={zone}
        />
        <section aria-label={say('rooms.waitsThatNoLongerFit')} className="mt-6">
          <h2 className="mb-1 text-2xl font-semibold">{say('rooms.whatThatMoves')}</h2>
          {off.length === 0 ? (
            <p className="text-lg">{say('rooms.everyWaitOfThePlan')}</p>
          ) : (
            <ul className="grid gap-4">
              {off.map(({ dough, windowMisses: list }) => (
                <li key={dough.id} className="border-b border-hairline pb-4">
                  <h3 className="text-xl font-semibold">
                    <a href={`/dough/${dough.id}`} className="underline underline-offset-4">
                      {dough.name}
                    </a>
                  </h3>
                  {list.map(({ key, message }) => (
                    <p key={key} className="text-lg">
                      {say.coded(message)}
                    </p>
                  ))}
                  <FollowDough id={dough.id} name={dough.name} />
                </li>
              ))}
            </ul>
          )}
        </section>
      </div>
    </main>
  );
}

function PlaceRow({ place, now, zone }: { place: Place; now: number; zone: string }) {
  const say = useWords();
  const [units] = useUnits();

  const [trouble, setTrouble] = useState<string | null>(null);
  const { reading } = place;
  const celsius = reading?.celsius ?? place.usual;

  const from =
    reading === null
      ? say('rooms.theUsual')
      : say('rooms.partTimeFromNow', {
          part:
            reading.source === 'typed'
              ? say('rooms.toldBy', { by: reading.by ?? say.inLine(say('shell.somebody')) })
              : say('rooms.byProbe'),
          time: clockTime(reading.at, zone),
          fromNow: say.coded(fromNow((reading.at - now) / 60_000)),
        });
  return (
    <li className="grid items-center gap-x-4 gap-y-1 border-b border-hairline py-2.5 sm:grid-cols-[1fr_7.5rem_13rem]">
      <div>
        <h2 className="text-xl font-semibold">
          <span
            aria-hidden
            className="mr-2 inline-block size-3 rounded-full"
            style={{ background: temperatureColour(celsius) }}
          />
          <a href={`/rooms/${place.id}`} className="underline underline-offset-4">
            {say.named(place.label)}
          </a>
        </h2>
        <p className="text-[15px] text-quiet">
          {say('rooms.partFromPart2', {
            part: say.coded(place.id === 'tap' ? say('rooms.water') : PLACE_KINDS[place.kind].label),
            from,
            part2: reading?.humidity ? say('rooms.humidity', { humidity: Math.round(reading.humidity) }) : '',
          })}
        </p>
        {place.remark && <p className="text-[15px] text-warn">{say.coded(place.remark)}</p>}
        {trouble && (
          <p role="alert" className="text-[15px] text-warn">
            {trouble}
          </p>
        )}
      </div>
      <p className="text-2xl font-bold whitespace-nowrap">{showCelsius(celsius, units)}</p>
      <TellPlace place={place} onTrouble={setTrouble} />
    </li>
  );
}

interface TellPlaceProps {
  place: Place;
  onTrouble: (value: string | null) => void;
}

/** A temperature and humidity typed for the place. */
function TellPlace({ place, onTrouble }: TellPlaceProps) {
  const say = useWords();
  const [units] = useUnits();
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const [humidity, setHumidity] = useState('');
  const tell = async () => {
    const value = parseCelsius(typed, units.temperature);
    if (value === null) {
      onTrouble(say('common.thatIsNotATemperature'));
      return;
    }
    const wet =
      humidity.trim() === '' ? {} : { humidity: Number(humidity.replace('%', '').replace(',', '.')) };
    const answer = await send('tell-place', {
      place: place.id,
      celsius: Math.round(value * 10) / 10,
      ...wet,
    });
    onTrouble(answer.ok ? null : answer.message);
    if (!answer.ok) return;
    setTyped('');
    setHumidity('');
    router.refresh();
  };
  return (
    <form
      className="flex min-w-0 items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void tell();
      }}
    >
      <Field
        label={
          <span className="sr-only">{say('rooms.temperatureOf', { label: say.inLine(place.label) })}</span>
        }
        value={typed}
        placeholder={
          units.temperature === 'F' ? '75' : place.kind === 'proofer' ? '26' : say('rooms.n24Or75F')
        }
        onType={setTyped}
      />
      {place.kind === 'proofer' && (
        <Field
          label={<span className="sr-only">{say('rooms.humidity2')}</span>}
          value={humidity}
          placeholder="80 %"
          onType={setHumidity}
        />
      )}
      <Button type="submit" className="min-h-10 shrink-0">
        {say('rooms.tellIt')}
      </Button>
    </form>
  );
}
