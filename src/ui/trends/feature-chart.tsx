'use client';

import {
  CartesianGrid,
  ComposedChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { Point } from '@/core/diagnosis/drift';
import { FEATURES, type FeatureId } from '@/core/diagnosis/features';
import { rangeOf } from '@/core/diagnosis/trends';
import { AXIS, TOOLTIP } from '../kit/chart-look';
import { useWords } from '../kit/words';
import { useUnits } from '../live/units';
import { useSigned } from '../compare/use-signed';
import { ValueTable } from './value-table';

interface Props {
  title: string;
  feature: FeatureId;
  points: readonly Point[];
  from: number;
  to: number;
  zone: string;
}

const DAY = 24 * 3_600_000;
/** At most so many days are named under a chart. */
const NAMED = 6;

/** Whole days that divide a span evenly. */
function daysIn(from: number, to: number): number[] {
  const every = Math.max(1, Math.ceil((to - from) / DAY / NAMED));
  const first = Math.ceil(from / DAY) * DAY;
  return Array.from({ length: Math.ceil((to - first) / (every * DAY)) }, (_, i) => first + i * every * DAY);
}

/** Round values that span some others: 3 to 7 of them, 1, 2 or 5 times a power of ten apart. */
function roundTicks(least: number, most: number): number[] {
  const rough = Math.max(most - least, 0.5) / 4;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = power * ([1, 2, 5, 10].find((times) => times * power >= rough) ?? 10);
  const first = Math.floor(least / step);
  const count = Math.ceil(most / step) - first;
  return Array.from({ length: count + 1 }, (_, i) => Math.round((first + i) * step * 1000) / 1000);
}

/** A measurement along the batches, against what it should be, with the spread of this house. */
export default function FeatureChart({ title, feature, points, from, to, zone }: Props) {
  const say = useWords();
  const signed = useSigned();
  const [units] = useUnits();
  const { unit } = FEATURES[feature];
  // A difference of °C is shown in the reader's degrees, a share in per cent.
  const times = unit === 'share' ? 100 : unit === 'difference' && units.temperature === 'F' ? 1.8 : 1;
  const goal = unit === 'share' ? 1 : 0;
  const range = rangeOf(points.map(({ value }) => value));
  const label =
    unit === 'share' ? ' %' : unit === 'minutes' ? ` ${say('trends.minutes')}` : ` °${units.temperature}`;
  const values = points.map(({ value }) => value * times);
  if (!range) return null;
  const ticks = roundTicks(Math.min(goal * times, ...values), Math.max(goal * times, ...values));
  const name = say('trends.chartOf', {
    ...{ name: title, count: points.length },
    ...{ from: signed(feature, Math.min(...points.map(({ value }) => value))) },
    to: signed(feature, Math.max(...points.map(({ value }) => value))),
  });
  return (
    <section aria-label={title}>
      <h2 className="text-2xl font-bold">{title}</h2>
      <figure aria-label={name} className="h-64">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart margin={{ top: 8, right: 12, bottom: 4, left: 0 }} accessibilityLayer>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis
              tickMargin={8}
              dataKey="at"
              type="number"
              domain={[from, to]}
              ticks={daysIn(from, to)}
              tickFormatter={(at: number) => say.dayMonth(at, zone)}
              {...AXIS}
            />
            <YAxis
              dataKey="value"
              type="number"
              unit={label}
              width={72}
              {...AXIS}
              ticks={ticks}
              domain={[ticks[0] ?? 0, ticks.at(-1) ?? 1]}
            />
            <ReferenceArea
              y1={range.low * times}
              y2={range.high * times}
              fill="var(--edge)"
              fillOpacity={0.18}
            />
            <ReferenceLine y={goal * times} stroke="var(--ink)" strokeWidth={1.5} />
            <Tooltip
              labelFormatter={() => ''}
              formatter={(value, key) =>
                key === 'at'
                  ? [say.dayMonth(Number(value), zone), '']
                  : [signed(feature, Number(value) / times), '']
              }
              contentStyle={TOOLTIP}
            />
            <Scatter
              data={points.map(({ at, value }) => ({ at, value: value * times }))}
              fill="var(--ink)"
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </figure>
      <p className="text-[15px] text-quiet">{say('trends.houseSpread')}</p>
      <ValueTable
        headings={[say('trends.date'), say('trends.value')]}
        rows={points.map(({ at, value }) => [say.dayMonth(at, zone), signed(feature, value)])}
      />
    </section>
  );
}
