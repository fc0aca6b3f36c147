'use client';

import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { Machine } from '@/core/bakery/machines';
import { machineHours } from '@/core/diagnosis/machine-use';
import type { Period } from '@/core/diagnosis/periods';
import type { BatchSummary } from '@/core/diagnosis/summary';
import { AXIS, TOOLTIP } from '../kit/chart-look';
import { useWords } from '../kit/words';
import { periodName } from './period-name';
import { ValueTable } from './value-table';

interface Props {
  batches: readonly BatchSummary[];
  /** Ovens and proofers, in the house's order. */
  machines: readonly Pick<Machine, 'id' | 'label' | 'capacity'>[];
  zone: string;
  period: Period;
}

/** Two machines beside each other are told apart in grey too; more share them in turn. */
const FILLS = ['var(--ink)', 'var(--edge)', 'var(--quiet)', 'var(--butter)'];

/** Hours at the axis, round ones: four steps at most, up to what is needed and never beyond a day. */
export function hourMarks(most: number): number[] {
  const step = [1, 2, 3, 6].find((hours) => most <= 4 * hours) ?? 6;
  return Array.from({ length: Math.max(1, Math.ceil(most / step)) + 1 }, (_, i) => i * step);
}

/** How many hours a day ovens and proofers were in use, and in the table how full they were. */
export default function UseChart({ batches, machines, zone, period }: Props) {
  const say = useWords();
  const uses = machineHours(batches, machines, zone, period);
  if (uses.length === 0) return null;
  const title = say('trends.ovensAndProofers');
  const periods = [...new Set(uses.map(({ from }) => from))].sort();
  const of = (from: string, id: string) => uses.find((use) => use.from === from && use.machine === id);
  const data = periods.map((from) => ({
    name: periodName(say, from),
    ...Object.fromEntries(machines.map(({ id }) => [id, Math.round(10 * (of(from, id)?.hours ?? 0)) / 10])),
  }));
  const hours = hourMarks(Math.max(...uses.map((use) => use.hours)));
  return (
    <section aria-label={title}>
      <h2 className="text-2xl font-bold">{title}</h2>
      <figure aria-label={title} className="h-64">
        <ResponsiveContainer width="100%" height="100%">
          <BarChart data={data} margin={{ top: 8, right: 12, bottom: 4, left: 0 }} accessibilityLayer>
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis dataKey="name" {...AXIS} tickMargin={8} />
            <YAxis unit=" h" width={72} {...AXIS} domain={[0, hours.at(-1) ?? 24]} ticks={hours} />
            <Tooltip
              formatter={(value, name) => [`${say.number(Number(value), 1)} h`, String(name)]}
              contentStyle={TOOLTIP}
            />
            <Legend formatter={(name) => <span className="text-ink">{String(name)}</span>} />
            {machines.map(({ id, label }, nth) => (
              <Bar
                key={id}
                dataKey={id}
                name={label}
                fill={FILLS[nth % FILLS.length]}
                isAnimationActive={false}
                maxBarSize={28}
              />
            ))}
          </BarChart>
        </ResponsiveContainer>
      </figure>
      <p className="text-[15px] text-quiet">
        {say(period === 'day' ? 'trends.useOfDays' : 'trends.useOfWeeks')}
      </p>
      <ValueTable
        headings={[
          say(`trends.${period}`),
          say('trends.machine'),
          say('trends.hoursInUse'),
          say('trends.howFull'),
        ]}
        rows={periods.flatMap((from) =>
          machines.flatMap(({ id, label }) => {
            const use = of(from, id);
            return use
              ? [
                  [
                    periodName(say, from),
                    label,
                    say.number(use.hours, 1),
                    say('trends.percent', { share: Math.round(100 * use.full) }),
                  ],
                ]
              : [];
          }),
        )}
      />
    </section>
  );
}
