'use client';

import { Bar, CartesianGrid, ComposedChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { BatchSummary } from '@/core/diagnosis/summary';
import type { Period } from '@/core/diagnosis/periods';
import { type PeriodYield, yieldsBy } from '@/core/diagnosis/trends';
import { AXIS, TOOLTIP } from '../kit/chart-look';
import { useWords } from '../kit/words';
import { periodName } from './period-name';
import { ValueTable } from './value-table';

/** Seconds and waste of all that came out, in per cent. */
const shareOf = (part: number, { good, second, waste }: PeriodYield): number =>
  Math.round((1000 * part) / Math.max(1, good + second + waste)) / 10;

interface Props {
  batches: readonly BatchSummary[];
  zone: string;
  period: Period;
}

/** What did not come out well, by day or week: the good ones are the rest, and the numbers stand in the table. */
export default function YieldChart({ batches, zone, period }: Props) {
  const say = useWords();
  const yields = yieldsBy(batches, zone, period);
  if (yields.length === 0) return null;
  const title = say(period === 'day' ? 'trends.yieldsByDay' : 'trends.yields');
  const data = yields.map((one) => ({
    name: periodName(say, one.from),
    second: shareOf(one.second, one),
    waste: shareOf(one.waste, one),
  }));
  return (
    <section aria-label={title}>
      <h2 className="text-2xl font-bold">{title}</h2>
      <figure aria-label={title} className="h-64">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={data} margin={{ top: 8, right: 12, bottom: 4, left: 0 }} accessibilityLayer>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis dataKey="name" {...AXIS} tickMargin={8} />
            <YAxis
              unit=" %"
              width={72}
              {...AXIS}
              domain={[0, (most: number) => Math.max(6, Math.ceil(most / 3) * 3)]}
            />
            <Tooltip
              formatter={(value, name) => [`${String(value)} %`, String(name)]}
              contentStyle={TOOLTIP}
            />
            <Bar
              dataKey="second"
              name={say('trends.second')}
              stackId="lost"
              fill="var(--edge)"
              isAnimationActive={false}
              maxBarSize={56}
            />
            <Bar
              dataKey="waste"
              name={say('trends.waste')}
              stackId="lost"
              fill="var(--ink)"
              isAnimationActive={false}
              maxBarSize={56}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </figure>
      <p className="text-[15px] text-quiet">{say('trends.yieldLegend')}</p>
      <ValueTable
        headings={[say(`trends.${period}`), say('trends.good'), say('trends.second'), say('trends.waste')]}
        rows={yields.map(({ from, good, second, waste }) => [
          periodName(say, from),
          ...[good, second, waste].map((pieces) => String(pieces)),
        ])}
      />
    </section>
  );
}
