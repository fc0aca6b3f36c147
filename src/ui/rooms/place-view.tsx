'use client';

import type { Words } from '@/core/codes/coded';
import { useWords } from '../kit/words';
import { DrawingSoon } from '../kit/drawing-soon';
import clsx from 'clsx';
import dynamic from 'next/dynamic';
import type { Person } from '@/core/bakery/people';
import { PLACE_SPANS, type PlaceRecord, type PlaceSpan } from '@/core/climate/curve';
import { clockTime, type Instant } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { showCelsius } from '@/core/units/reader';
import { useUnits } from '../live/units';
import { LimitsForm } from './limits-form';
import type { Outside } from '@/core/climate/curve';
import type { PlaceLimits } from '@/core/climate/excursions';

const PlaceChart = dynamic(() => import('./place-chart'), {
  ssr: false,
  loading: DrawingSoon,
});

const SPANS = Object.keys(PLACE_SPANS) as PlaceSpan[];

/** One place over time: what its probe said, when it was outside its limits, and what was not believed. */
export function PlaceView({
  record,
  zone,
  person,
  span,
}: {
  record: PlaceRecord;
  zone: string;
  person: Person;
  span: PlaceSpan;
}) {
  const say = useWords();
  const [units] = useUnits();
  const { limits, points, outside, doubted } = record;
  const last = points.at(-1);
  return (
    <main className="mx-auto grid w-full max-w-6xl flex-1 content-start gap-6 bg-flour p-5">
      <header className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-2">
        <h1 className="text-3xl font-bold">{say.named(limits.label)}</h1>
        {last && (
          <p className="text-xl">
            {say.rich('rooms.at', {
              b: (words) => <b className="text-3xl">{words}</b>,
              celsius: showCelsius(last.celsius, units),
              time: clockTime(last.at, zone),
              part:
                last.humidity !== null ? say('rooms.humidity', { humidity: Math.round(last.humidity) }) : '',
            })}
          </p>
        )}
        <a href="/rooms" className="underline underline-offset-4">
          {say('rooms.allRooms')}
        </a>
      </header>
      <nav aria-label={say('rooms.howFarBack')} className="flex flex-wrap gap-2">
        {SPANS.map((id) => (
          <a
            key={id}
            href={`/rooms/${record.id}?span=${id}`}
            aria-current={id === span ? 'page' : undefined}
            className={clsx(
              'grid min-h-11 min-w-16 place-items-center rounded border border-edge px-3',
              id === span && 'bg-butter-wash font-bold',
            )}
          >
            {say('rooms.span', { span: id })}
          </a>
        ))}
      </nav>
      {points.length === 0 ? (
        <p className="py-10 text-xl">{say('rooms.noProbeHasSaidAnything')}</p>
      ) : (
        <PlaceChart {...{ record, zone, units }} />
      )}
      <OutsideLimits outside={outside} zone={zone} limits={limits} />
      <DoubtedReadings doubted={doubted} zone={zone} />
      {person.role === 'planner' && (
        <section aria-label={say('rooms.limits')}>
          <h2 className="mb-1 text-2xl font-semibold">{say('rooms.limits')}</h2>
          <LimitsForm limits={limits} />
        </section>
      )}
    </main>
  );
}

interface OutsideLimitsProps {
  outside: Outside[];
  zone: string;
  limits: PlaceLimits;
}

/** When the place was outside its limits. */
function OutsideLimits({ outside, zone, limits }: OutsideLimitsProps) {
  const say = useWords();
  const [units] = useUnits();
  return (
    <section aria-label={say('rooms.outsideTheLimits')}>
      <h2 className="mb-1 text-2xl font-semibold">{say('rooms.outsideItsLimits')}</h2>
      <ul className="text-lg">
        {outside.map(({ from, to, celsius, limit }) => (
          <li key={from} className="border-b border-hairline py-1.5">
            {say.rich('rooms.forUpToNotAbove', {
              b: (words) => <b>{words}</b>,
              time: say.dayTime(from, zone),
              duration: duration((to - from) / 60_000),
              celsius: showCelsius(celsius, units),
              isCelsius: celsius > limit,
              celsius2: showCelsius(limit, units),
            })}
          </li>
        ))}
        {outside.length === 0 && (
          <li className="text-quiet">
            {limits.low === null && limits.high === null
              ? say('rooms.itHasNoLimits')
              : say('rooms.neverForLongerThan', { duration: duration(limits.minutes) })}
          </li>
        )}
      </ul>
    </section>
  );
}

interface DoubtedReadingsProps {
  doubted: { at: Instant; doubt: Words; times: number }[];
  zone: string;
}

/** Readings that were not believed, and why. */
function DoubtedReadings({ doubted, zone }: DoubtedReadingsProps) {
  const say = useWords();
  return (
    <>
      {doubted.length > 0 && (
        <section aria-label={say('rooms.notBelieved')}>
          <h2 className="mb-1 text-2xl font-semibold">{say('rooms.notBelieved')}</h2>
          <ul className="text-lg">
            {doubted.map(({ at, doubt, times }) => (
              <li key={say.coded(doubt)} className="border-b border-hairline py-1.5">
                {say('rooms.doubtPartTime', {
                  doubt: say.coded(doubt),
                  part: times > 1 ? say('rooms.timesLast', { times }) : '',
                  time: say.dayTime(at, zone),
                })}
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
