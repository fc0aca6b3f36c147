'use client';

import { useWords } from '../kit/words';
import { DrawingSoon } from '../kit/drawing-soon';
import dynamic from 'next/dynamic';
import { spanFigures, type HandReading, type HeardSpan } from '@/core/diagnosis/temperatures';
import { duration } from '@/core/units/format';
import { showCelsius, type ReaderUnits } from '@/core/units/reader';
import { useUnits } from '../live/units';

const TemperatureCurve = dynamic(() => import('./temperature-curve'), {
  ssr: false,
  loading: DrawingSoon,
});

const cool = ({ baking }: { baking: boolean }) => !baking;

/** How warm it was in a batch and around it, wait by wait: probes, core probes, and what somebody measured. */
export function Temperatures({
  stays,
  told,
  zone,
}: {
  stays: readonly HeardSpan[];
  told: readonly HandReading[];
  zone: string;
}) {
  const say = useWords();
  const [units] = useUnits();
  const heard = stays.filter(({ points }) => points.length > 0);
  const rows = [
    ...heard.map((stay) => ({ at: stay.from, words: <StayWords stay={stay} units={units} /> })),
    ...told.map((reading) => ({ at: reading.at, words: <HandWords {...{ reading, units, zone }} /> })),
  ].sort((a, b) => a.at - b.at);
  if (rows.length === 0) return null;
  const drawn = { stays: heard.filter(cool), told: told.filter(cool) };
  return (
    <section aria-label={say('batch.temperatures')} className="mt-6">
      <h2 className="text-2xl font-bold">{say('batch.temperatures')}</h2>
      {drawn.stays.length + drawn.told.length > 0 && (
        <>
          <p className="mb-2 text-quiet">{say('batch.thickInTheDoughDashed')}</p>
          <TemperatureCurve {...drawn} zone={zone} units={units} />
        </>
      )}
      <ul className="mt-3 text-lg">
        {rows.map(({ at, words }, i) => (
          <li key={i} className="flex flex-wrap gap-x-4 border-b border-hairline py-1">
            <span className="w-28 text-quiet">{say.dayTime(at, zone)}</span>
            {words}
          </li>
        ))}
      </ul>
    </section>
  );
}

function StayWords({ stay, units }: { stay: HeardSpan; units: ReaderUnits }) {
  const say = useWords();
  const { step, within, label, from, to, points } = stay;
  const figures = spanFigures(points);
  if (!figures) return null;
  const { first, last, lowest, highest } = figures;
  const shown = (celsius: number) => showCelsius(celsius, units);
  return (
    <span>
      {say.rich('batch.inTheForFromTo', {
        b: (words) => <b className="font-semibold">{words}</b>,
        step: say.coded(step),
        isWithin: within,
        label: say.inLine(label),
        duration: duration((to - from) / 60_000),
        weight: shown(first),
        weight2: shown(last),
        part:
          shown(lowest) === shown(highest)
            ? shown(lowest)
            : say('batch.to', { weight: shown(lowest), weight2: shown(highest) }),
      })}
    </span>
  );
}

function HandWords({ reading, units, zone }: { reading: HandReading; units: ReaderUnits; zone: string }) {
  const say = useWords();
  return (
    <span>
      {say.rich('batch.measured', {
        b: (words) => <b className="font-semibold">{words}</b>,
        step: say.coded(reading.step),
        celsius: showCelsius(reading.celsius, units),
        receivedAt: () =>
          reading.receivedAt !== undefined && (
            <span className="text-quiet">
              {say('batch.enteredLate', { time: say.dayTime(reading.receivedAt, zone) })}
            </span>
          ),
      })}
    </span>
  );
}
