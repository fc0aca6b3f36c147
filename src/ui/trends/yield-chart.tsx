'use client';

import { Bar, CartesianGrid, ComposedChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { BatchSummary } from '@/core/diagnosis/summary';
import { weekYields, type WeekYield } from '@/core/diagnosis/trends';
import type { Say } from '@/words/say';
import { AXIS, TOOLTIP } from '../kit/chart-look';
import { useWords } from '../kit/words';
import { ValueTable } from './value-table';

/** Seconds and waste of all that came out, in per cent. */
const shareOf = (part: number, { good, second, waste }: WeekYield): number =>
  Math.round((1000 * part) / Math.max(1, good + second + waste)) / 10;

const monday = (say: Say, week: string) => say.dayMonth(Date.parse(`${week}T12:00:00Z`), 'UTC');

/** What did not come out well, week by week: the good ones are the rest, and the numbers stand in the table. */
export default function YieldChart({ batches, zone }: { batches: readonly BatchSummary[]; zone: string }) {
  const say = useWords();
  const weeks = weekYields(batches, zone);
  if (weeks.length === 0) return null;
  const data = weeks.map((week) => ({
    name: monday(say, week.week),
    second: shareOf(week.second, week),
    waste: shareOf(week.waste, week),
  }));
  return (
    <section aria-label={say('trends.yields')}>
      <h2 className="text-2xl font-bold">{say('trends.yields')}</h2>
      <figure aria-label={say('trends.yields')} className="h-64">
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
        headings={[say('trends.week'), say('trends.good'), say('trends.second'), say('trends.waste')]}
        rows={weeks.map(({ week, good, second, waste }) => [
          monday(say, week),
          ...[good, second, waste].map((pieces) => String(pieces)),
        ])}
      />
    </section>
  );
}
