'use client';

import { useWords } from '../kit/words';
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { duration } from '@/core/units/format';
import type { ReaderUnits } from '@/core/units/reader';
import { toFahrenheit } from '@/core/units/temperature';
import { AXIS, LINE, TOOLTIP } from '../kit/chart-look';

export interface ChartLine {
  name: string;
  /** Told apart by dash as well as by shade. */
  dash: string;
  colour: string;
  values: readonly number[];
}

interface Props {
  minutes: readonly number[];
  lines: ChartLine[];
  target: number | null;
  units: Pick<ReaderUnits, 'temperature'>;
  title: string;
}

/** Temperatures of a piece over time. */
export default function TemperatureChart({ minutes, lines, target, units, title }: Props) {
  const say = useWords();
  const shown = (celsius: number) => (units.temperature === 'F' ? toFahrenheit(celsius) : celsius);
  const data = minutes.map((minute, i) => ({
    minute,
    ...Object.fromEntries(
      lines.map(({ name, values }) => [name, Math.round(shown(values[i] ?? 0) * 100) / 100]),
    ),
  }));
  const unit = units.temperature === 'F' ? '°F' : '°C';
  return (
    <figure aria-label={title} className="h-72">
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={data} margin={{ top: 8, right: 12, bottom: 4, left: 0 }} accessibilityLayer>
          <CartesianGrid stroke="var(--hairline)" vertical={false} />
          <XAxis
            dataKey="minute"
            type="number"
            domain={[0, 'dataMax']}
            tickFormatter={(minute: number) => duration(minute)}
            {...AXIS}
            minTickGap={40}
          />
          <YAxis unit={` ${unit}`} width={68} {...AXIS} domain={['auto', 'auto']} />
          <Tooltip
            labelFormatter={(minute) => say('workbench.afterMinutes', { duration: duration(Number(minute)) })}
            formatter={(value) => `${say.number(Number(value), 1)} ${unit}`}
            contentStyle={TOOLTIP}
          />
          <Legend iconType="plainline" />
          {target !== null && (
            <ReferenceLine
              y={shown(target)}
              stroke="var(--butter)"
              strokeWidth={3}
              label={{ value: 'wanted', fill: 'var(--quiet)', position: 'insideBottomRight' }}
            />
          )}
          {lines.map(({ name, dash, colour }) => (
            <Line
              key={name}
              type="monotone"
              dataKey={name}
              name={name}
              stroke={colour}
              strokeDasharray={dash}
              strokeWidth={2.5}
              {...LINE}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </figure>
  );
}
