'use client';

import { FEATURE_NAMES } from '@/core/diagnosis/feature-words';
import type { Compared } from '@/core/wire/compared';
import { FloorTabs } from '../floor/floor-tabs';
import { useWords } from '../kit/words';
import { CompareTable } from './compare-table';
import { CompareThreads } from './compare-threads';
import { useSigned } from './use-signed';

interface Props {
  compared: Compared;
  zone: string;
  now: number;
}

/** Batches of one product side by side: their threads, their numbers, and what the good ones share. */
export function CompareView({ compared, zone, now }: Props) {
  const say = useWords();
  const { product, batches, others } = compared;
  const asked = batches.map(({ dough }) => `dough=${dough.id}`).join('&');
  return (
    <main className="flex-1">
      <FloorTabs />
      <div className="grid grid-cols-[minmax(0,1fr)] gap-6 p-5">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <h1 className="text-4xl font-bold">
            {product
              ? say('compare.compareBatches', { product: product.name, count: batches.length })
              : say('compare.title')}
          </h1>
          <a
            href="/batches"
            className="grid min-h-14 place-items-center rounded border border-edge bg-flour px-5 text-xl"
          >
            {say('compare.backToBatches')}
          </a>
        </div>
        {!product && <p className="text-xl">{say('compare.nothingToCompare')}</p>}
        {others.length > 0 && (
          <nav aria-label={say('compare.chooseAnother')} className="flex flex-wrap gap-3">
            {others.map(({ id, name, count }) => (
              <a
                key={id}
                href={`/batches/compare?${asked}&product=${id}`}
                className="grid min-h-14 place-items-center rounded border border-edge px-4 text-lg underline underline-offset-4"
              >
                {say('compare.productOf', { product: name, count })}
              </a>
            ))}
          </nav>
        )}
        {product && (
          <>
            <CompareThreads {...{ batches, zone, now }} />
            <CompareTable {...{ compared }} when={(at) => say.dateTime(at, zone)} />
            <Common {...{ compared }} since={say.dayMonth(compared.since, zone)} />
          </>
        )}
      </div>
    </main>
  );
}

/** What good batches share, and what of it sets them apart from the others. */
function Common({ compared, since }: { compared: Compared; since: string }) {
  const say = useWords();
  const signed = useSigned();
  const { ground, good, judged } = compared;
  const telling = ground.filter(({ tells }) => tells);
  return (
    <section aria-label={say('compare.common')}>
      <h2 className="text-2xl font-bold">{say('compare.common')}</h2>
      {ground.length === 0 ? (
        <p className="text-lg">{say('compare.tooFew', { since })}</p>
      ) : (
        <p className="text-lg text-quiet">{say('compare.commonOf', { good, all: judged, since })}</p>
      )}
      {ground.length > 0 && telling.length === 0 && (
        <p className="text-lg">{say('compare.nothingSetsApart')}</p>
      )}
      <ul className="mt-2 grid gap-1 text-lg">
        {telling.map(({ feature, from, to, others, outside }) => (
          <li key={feature} className="border-l-4 border-butter pl-3">
            {say('compare.setsApart', {
              feature: say.coded(FEATURE_NAMES[feature]),
              from: signed(feature, from),
              to: signed(feature, to),
              ...{ outside, others },
            })}
          </li>
        ))}
      </ul>
    </section>
  );
}
