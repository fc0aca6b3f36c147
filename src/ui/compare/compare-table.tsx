'use client';

import clsx from 'clsx';
import { ArrowDown, ArrowUp } from 'lucide-react';
import type { CommonGround } from '@/core/diagnosis/common-ground';
import { FAULT_NAMES } from '@/core/diagnosis/faults';
import { FEATURE_NAMES } from '@/core/diagnosis/feature-words';
import { FEATURE_IDS, type FeatureId } from '@/core/diagnosis/features';
import type { BatchSummary } from '@/core/diagnosis/summary';
import type { Compared } from '@/core/wire/compared';
import { useWords } from '../kit/words';
import { countValues } from '../oven/words';
import { useSigned } from './use-signed';

/** What a target or setting makes of a number that is there already. */
const TOLD_OTHERWISE: readonly FeatureId[] = ['mixedOff', 'proofOff'];

/** How each batch came out, and what was measured of it beside the range of the good ones. */
export function CompareTable({ compared, when }: { compared: Compared; when: (at: number) => string }) {
  const say = useWords();
  const { batches, ground, good } = compared;
  const summaries = batches.map(({ summary }) => summary);
  const rows = FEATURE_IDS.filter(
    (id) => !TOLD_OTHERWISE.includes(id) && summaries.some(({ features }) => features[id] !== null),
  );
  return (
    <section aria-label={say('compare.inNumbers')}>
      <h2 className="text-2xl font-bold">{say('compare.inNumbers')}</h2>
      <div
        className="relative overflow-x-auto"
        tabIndex={0}
        role="group"
        aria-label={say('compare.inNumbers')}
      >
        <table className="w-full min-w-[44rem] border-collapse text-left text-lg">
          <thead>
            <tr className="border-b border-edge align-bottom">
              <td />
              <th scope="col" className="py-1 pr-4 text-[15px] font-normal text-quiet">
                {ground.length > 0 && say('compare.goodOnes', { count: good })}
              </th>
              {summaries.map(({ outputId, name, doneAt }) => (
                <th key={outputId} scope="col" className="py-1 pr-4">
                  {name}
                  <span className="block text-[15px] font-normal text-quiet">{when(doneAt)}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <Outcomes summaries={summaries} />
            {rows.map((id) => (
              <FeatureRow
                key={id}
                feature={id}
                ground={ground.find(({ feature }) => feature === id) ?? null}
                summaries={summaries}
              />
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function Outcomes({ summaries }: { summaries: readonly BatchSummary[] }) {
  const say = useWords();
  const rows: { name: string; of: (batch: BatchSummary) => string }[] = [
    {
      name: say('compare.cameOut'),
      of: ({ counted }) => (counted ? say('batch.count', countValues(counted)) : say('batch.notCounted')),
    },
    {
      name: say('compare.verdict'),
      of: ({ mean }) =>
        mean === null ? say('batch.notJudged') : say('batch.of5', { mean: say.number(mean, 1) }),
    },
    {
      name: say('compare.faultsSeen'),
      of: ({ seen }) =>
        seen.map((fault) => say.coded(FAULT_NAMES[fault])).join(', ') || say('compare.noFaults'),
    },
  ];
  return rows.map(({ name, of }) => (
    <tr key={name} className="border-b border-hairline">
      <th scope="row" className="py-2 pr-4 font-normal">
        {name}
      </th>
      <td />
      {summaries.map((batch) => (
        <td key={batch.outputId} className="py-2 pr-4">
          {of(batch)}
        </td>
      ))}
    </tr>
  ));
}

function FeatureRow({
  feature,
  ground,
  summaries,
}: {
  feature: FeatureId;
  ground: CommonGround | null;
  summaries: readonly BatchSummary[];
}) {
  const say = useWords();
  const signed = useSigned();
  const words = (value: number) => signed(feature, value);
  return (
    <tr className="border-b border-hairline">
      <th scope="row" className="py-2 pr-4 font-normal">
        {say.coded(FEATURE_NAMES[feature])}
      </th>
      <td className="py-2 pr-4 text-quiet">
        {ground && say('compare.fromTo', { from: words(ground.from), to: words(ground.to) })}
      </td>
      {summaries.map(({ outputId, features }) => {
        const value = features[feature];
        const isHigh = ground !== null && value !== null && value > ground.to;
        const isLow = ground !== null && value !== null && value < ground.from;
        return (
          <td key={outputId} className={clsx('py-2 pr-4', (isHigh || isLow) && 'font-bold')}>
            {value === null ? (
              <span className="text-quiet">{say('compare.notMeasured')}</span>
            ) : isHigh || isLow ? (
              <span className="inline-flex items-center gap-1">
                {words(value)}
                {isHigh ? <ArrowUp aria-hidden size={18} /> : <ArrowDown aria-hidden size={18} />}
                <span className="sr-only">{say('compare.outside', { isHigh })}</span>
              </span>
            ) : (
              words(value)
            )}
          </td>
        );
      })}
    </tr>
  );
}
