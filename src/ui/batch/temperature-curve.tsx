'use client';

import { useWords } from '../kit/words';
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, Scatter, XAxis, YAxis } from 'recharts';
import type { HandReading, HeardSpan } from '@/core/diagnosis/temperatures';
import { withGaps } from '@/core/climate/curve';
import { clockTime } from '@/core/time/local';
import type { ReaderUnits } from '@/core/units/reader';
import { toFahrenheit } from '@/core/units/temperature';
import { AXIS, LINE } from '../kit/chart-look';
import { marksOf } from '../thread/marks';

/** A probe that says nothing for so long was silent, ms. */
const SILENCE = 30 * 60_000;
/** About as wide as it is drawn on a tablet, for how close its hours stand, px. */
const USUAL_WIDTH = 900;

/** How warm it was in and around a batch: thick within, dashed around, points where somebody measured. */
export default function TemperatureCurve({
  stays,
  told,
  zone,
  units,
}: {
  stays: readonly HeardSpan[];
  told: readonly HandReading[];
  zone: string;
  units: Pick<ReaderUnits, 'temperature'>;
}) {
  const say = useWords();
  const shown = (celsius: number) =>
    Math.round((units.temperature === 'F' ? toFahrenheit(celsius) : celsius) * 10) / 10;
  const moments = [...stays.flatMap(({ from, to }) => [from, to]), ...told.map(({ at }) => at)];
  const [from, to] = [Math.min(...moments), Math.max(...moments)];
  const { days, times } = marksOf({ from, to, width: USUAL_WIDTH }, zone, say);
  return (
    <figure aria-label={say('batch.temperaturesInAndAroundIt')} className="h-72">
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart margin={{ top: 8, right: 12, bottom: 4, left: 0 }} accessibilityLayer>
          <CartesianGrid stroke="var(--hairline)" vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            domain={[from, to]}
            ticks={[...days, ...times].map(({ at }) => at).sort((a, b) => a - b)}
            tickFormatter={(at: number) =>
              days.some((day) => day.at === at) ? say.dayName(at, zone) : clockTime(at, zone)
            }
            {...AXIS}
            tickMargin={8}
            minTickGap={20}
          />
          <YAxis
            dataKey="degrees"
            unit={units.temperature === 'F' ? ' °F' : ' °C'}
            width={72}
            domain={['auto', 'auto']}
            {...AXIS}
          />
          {stays.map(({ probe, within, from: start, points }) => (
            <Line
              key={`${probe} ${start}`}
              data={withGaps(points, SILENCE).map((point) => ({
                at: point.at,
                degrees: 'gap' in point ? null : shown(point.celsius),
              }))}
              type="linear"
              dataKey="degrees"
              stroke={within ? 'var(--ink)' : 'var(--quiet)'}
              strokeWidth={within ? 3 : 2}
              strokeDasharray={within ? undefined : '5 4'}
              {...LINE}
            />
          ))}
          <Scatter
            data={told.map(({ at, celsius }) => ({ at, degrees: shown(celsius) }))}
            fill="var(--ink)"
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
}
