'use client';

import dynamic from 'next/dynamic';
import { pointsOf } from '@/core/diagnosis/trends';
import type { FeatureId } from '@/core/diagnosis/features';
import type { TrendsPage } from '@/core/wire/trends';
import { FloorTabs } from '../floor/floor-tabs';
import { useWords } from '../kit/words';
import { DriftList } from './drift-list';
import { GroupTables } from './group-tables';
import { LearntTable } from './learnt-table';

const Waiting = () => <div className="h-64" />;
const FeatureChart = dynamic(() => import('./feature-chart'), { ssr: false, loading: Waiting });
const UseChart = dynamic(() => import('./use-chart'), { ssr: false, loading: Waiting });
const YieldChart = dynamic(() => import('./yield-chart'), { ssr: false, loading: Waiting });

interface Props {
  trends: TrendsPage;
  asked: { weeks: number; product: number | null };
  products: readonly { id: number; name: string }[];
  zone: string;
}

/** What is charted against what it should be. */
const CHARTED: readonly {
  feature: FeatureId;
  title: 'doughTemperatures' | 'proofsAgainstForecast' | 'useOf';
}[] = [
  { feature: 'mixedOff', title: 'doughTemperatures' },
  { feature: 'proofLate', title: 'proofsAgainstForecast' },
  { feature: 'bakeShare', title: 'useOf' },
];

/** Months of batches: what has changed, how they came out, and what the bakery has learned. */
export function TrendsView({ trends, asked, products, zone }: Props) {
  const say = useWords();
  const { batches, left, from, to } = trends;
  // A month is read by the day, more than that by the week.
  const period = asked.weeks === 4 ? 'day' : 'week';
  const [first, last] = [say.dayMonth(from, zone), say.dayMonth(to, zone)];
  return (
    <main className="flex-1">
      <FloorTabs />
      <div className="grid grid-cols-[minmax(0,1fr)] gap-6 p-5">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 className="text-4xl font-bold">{say('trends.trends')}</h1>
            <p className="text-lg text-quiet">
              {say('trends.ofBatches', { count: batches.length, from: first, to: last })}
            </p>
          </div>
          <Choice {...{ asked, products }} />
        </div>
        {left > 0 && <p className="text-lg">{say('trends.stillToRead', { left })}</p>}
        <DriftList drifts={trends.drifts} machines={trends.machines} zone={zone} />
        {batches.length === 0 ? (
          <p className="text-xl">{say('trends.noBatches')}</p>
        ) : (
          <>
            <div className="grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[repeat(2,minmax(0,1fr))]">
              {CHARTED.map(({ feature, title }) => (
                <FeatureChart
                  key={feature}
                  title={say(`trends.${title}`)}
                  points={pointsOf(batches, feature)}
                  {...{ feature, zone, from, to }}
                />
              ))}
              <YieldChart {...{ batches, zone, period }} />
              <UseChart machines={trends.measured} {...{ batches, zone, period }} />
            </div>
            <GroupTables {...{ batches, zone }} people={trends.people} />
          </>
        )}
        <LearntTable learnt={trends.learnt} />
      </div>
    </main>
  );
}

const field = 'min-h-14 max-w-full rounded border border-edge bg-ground px-3 text-lg';

/** Which batches are looked at. A plain form: the address is the choice. */
function Choice({ asked, products }: Pick<Props, 'asked' | 'products'>) {
  const say = useWords();
  return (
    <form className="flex flex-wrap items-end gap-3">
      <label className="grid min-w-0 gap-1">
        {say('trends.period')}
        <select name="weeks" defaultValue={asked.weeks} className={field}>
          <option value={4}>{say('trends.lastWeeks', { weeks: 4 })}</option>
          <option value={13}>{say('trends.lastWeeks', { weeks: 13 })}</option>
          <option value={52}>{say('trends.lastYear')}</option>
        </select>
      </label>
      <label className="grid min-w-0 gap-1">
        {say('trends.product')}
        <select name="product" defaultValue={asked.product ?? ''} className={field}>
          <option value="">{say('trends.allProducts')}</option>
          {products.map(({ id, name }) => (
            <option key={id} value={id}>
              {say.named(name)}
            </option>
          ))}
        </select>
      </label>
      <button className="min-h-14 rounded border border-edge bg-flour px-6 text-xl font-semibold">
        {say('trends.show')}
      </button>
    </form>
  );
}
