'use client';

import { useWords } from '../kit/words';
import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { type PlaceRecord, withGaps } from '@/core/climate/curve';
import { clockTime } from '@/core/time/local';
import type { ReaderUnits } from '@/core/units/reader';
import { toFahrenheit } from '@/core/units/temperature';
import { AXIS, LINE, TOOLTIP } from '../kit/chart-look';

const DAY = 24 * 3_600_000;
/** A probe that says nothing for as long as this many points was silent. */
const SILENT = { points: 3, least: 30 * 60_000 };

/** The points in the reader's degrees, with a gap where the probe was silent. */
function chartPoints({ points, step }: PlaceRecord, shown: (celsius: number) => number) {
  const silence = Math.max(SILENT.least, SILENT.points * step);
  return withGaps(points, silence).map((point) =>
    'gap' in point
      ? { at: point.at, degrees: null, humidity: null }
      : { at: point.at, degrees: Math.round(shown(point.celsius) * 10) / 10, humidity: point.humidity },
  );
}

interface Props {
  record: PlaceRecord;
  zone: string;
  units: Pick<ReaderUnits, 'temperature'>;
}

/** What a probe has said, with its limits, and when it was outside them; humidity where there is one. */
export default function PlaceChart({ record, zone, units }: Props) {
  const say = useWords();
  const { points, limits, outside, from, to } = record;
  const shown = (celsius: number) => (units.temperature === 'F' ? toFahrenheit(celsius) : celsius);
  const unit = units.temperature === 'F' ? '°F' : '°C';
  const data = chartPoints(record, shown);
  const humid = points.some(({ humidity }) => humidity !== null);
  const bounds = [limits.low, limits.high].filter((limit) => limit !== null).map(shown);
  return (
    <figure aria-label={say('rooms.temperatureOf', { label: say.inLine(limits.label) })} className="h-80">
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={data} margin={{ top: 8, right: 12, bottom: 4, left: 0 }} accessibilityLayer>
          <CartesianGrid stroke="var(--hairline)" vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            domain={[from, to]}
            tickFormatter={(at: number) =>
              to - from > 2 * DAY ? say.dayMonth(at, zone) : clockTime(at, zone)
            }
            {...AXIS}
            tickMargin={8}
            minTickGap={50}
          />
          <YAxis
            yAxisId="degrees"
            unit={` ${unit}`}
            width={72}
            {...AXIS}
            domain={[
              (least: number) => Math.floor(Math.min(least, ...bounds) - 1),
              (most: number) => Math.ceil(Math.max(most, ...bounds) + 1),
            ]}
          />
          {humid && (
            <YAxis yAxisId="humidity" orientation="right" unit=" %" width={56} domain={[0, 100]} {...AXIS} />
          )}
          <Tooltip
            labelFormatter={(at) => say.dayTime(Number(at), zone)}
            formatter={(value, name) => [
              `${say.number(Number(value), name === 'humidity' ? 0 : 1)} ${name === 'humidity' ? '%' : unit}`,
              String(name),
            ]}
            contentStyle={TOOLTIP}
          />
          {outside.map((one) => (
            <ReferenceArea
              key={one.from}
              yAxisId="degrees"
              x1={one.from}
              x2={one.to}
              fill="var(--warn)"
              fillOpacity={0.14}
            />
          ))}
          {[limits.low, limits.high].map(
            (limit) =>
              limit !== null && (
                <ReferenceLine
                  key={limit}
                  yAxisId="degrees"
                  y={shown(limit)}
                  stroke="var(--warn)"
                  strokeDasharray="6 4"
                  label={{
                    value: say('rooms.limitAt', { value: Math.round(shown(limit) * 10) / 10, unit }),
                    fill: 'var(--quiet)',
                    position: 'insideBottomRight',
                  }}
                />
              ),
          )}
          <Line
            yAxisId="degrees"
            type="linear"
            dataKey="degrees"
            name="temperature"
            stroke="var(--ink)"
            strokeWidth={2}
            {...LINE}
          />
          {humid && (
            <Line
              yAxisId="humidity"
              type="linear"
              dataKey="humidity"
              name="humidity"
              stroke="var(--quiet)"
              strokeDasharray="2 4"
              strokeWidth={2}
              {...LINE}
            />
          )}
        </ComposedChart>
      </ResponsiveContainer>
    </figure>
  );
}
