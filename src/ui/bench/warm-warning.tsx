'use client';

import { useMemo } from 'react';
import type { DoughForecast, StepForecast } from '@/core/forecast/forecast';
import type { Today } from '@/core/forecast/windows';
import { type WarmWay, warmWork } from '@/core/shopfloor/warm-work';
import { showCelsius } from '@/core/units/reader';
import { useWords } from '../kit/words';
import { useUnits } from '../live/units';

interface Props {
  dough: DoughForecast;
  step: StepForecast;
  today: Today;
  now: number;
  zone: string;
}

/** That the room is too warm for this lamination, what helps and what that costs; nothing where it is cool enough. */
export function WarmWarning({ dough, step, today, now, zone }: Props) {
  const say = useWords();
  const [units] = useUnits();
  // Heat through a sheet is not worked out anew every minute: a quarter of an hour changes nothing that anybody sees.
  const quarter = Math.floor(now / QUARTER) * QUARTER;
  const warm = useMemo(() => warmWork(dough, step, today, quarter), [dough, step, today, quarter]);
  if (!warm) return null;
  const words = (way: WarmWay): string => {
    switch (way.kind) {
      case 'freezer':
        return say('bench.warmFreezer', { minutes: way.minutes, then: way.then });
      case 'parts':
        return say('bench.warmParts', { parts: way.parts, minutes: way.minutes });
      case 'later':
        return say('bench.warmLater', {
          time: say.dayTime(way.at, zone),
          celsius: showCelsius(Math.round(way.celsius), units),
        });
    }
  };
  return (
    <div role="note" className="mb-3 border-l-4 border-warn pl-3 text-lg">
      <p className="text-xl font-semibold">
        {say('bench.warmRoom', {
          room: showCelsius(Math.round(warm.room), units),
          limit: showCelsius(warm.limit, units),
        })}
      </p>
      <p>{say('bench.warmBest', { firm: warm.firm, work: warm.work })}</p>
      {warm.ways.length > 0 && (
        <ul className="list-disc pl-5">
          {warm.ways.map((way) => (
            <li key={way.kind}>{words(way)}</li>
          ))}
        </ul>
      )}
    </div>
  );
}

const QUARTER = 15 * 60_000;
