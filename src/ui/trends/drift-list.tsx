'use client';

import { TriangleAlert } from 'lucide-react';
import type { HouseDrift, WatchedFeature } from '@/core/diagnosis/trends';
import { useWords } from '../kit/words';
import { useSigned } from '../compare/use-signed';

/** Each change, and what to do about it. */
const WORDS = {
  mixedOff: ['trends.mixedOffDrift', 'trends.mixedOffDo'],
  proofOff: ['trends.proofOffDrift', 'trends.proofOffDo'],
  proofLate: ['trends.proofLateDrift', 'trends.proofLateDo'],
  bakeShare: ['trends.bakeShareDrift', 'trends.bakeShareDo'],
  ovenOff: ['trends.ovenOffDrift', 'trends.ovenOffDo'],
} as const satisfies Record<WatchedFeature, readonly [string, string]>;

/** What has changed and stayed so: what to do first, then since when. */
export function DriftList({
  drifts,
  machines,
  zone,
}: {
  drifts: readonly HouseDrift[];
  machines: Readonly<Record<string, string>>;
  zone: string;
}) {
  const say = useWords();
  const signed = useSigned();
  return (
    <section aria-label={say('trends.changed')}>
      <h2 className="text-2xl font-bold">{say('trends.changed')}</h2>
      {drifts.length === 0 && <p className="text-lg">{say('trends.nothingChanged')}</p>}
      <ul className="grid gap-3">
        {drifts.map(({ feature, machine, since, before, after, points }) => {
          const [change, todo] = WORDS[feature];
          return (
            <li key={`${feature} ${machine}`} className="flex gap-3 border-l-4 border-warn pl-3 text-lg">
              <TriangleAlert aria-hidden size={24} className="mt-1 shrink-0 text-warn" />
              <div>
                <p className="font-semibold">
                  {say(change, {
                    machine: (machine && machines[machine]) ?? '',
                    isUp: after > before,
                    after: signed(feature, after),
                    before: signed(feature, before),
                  })}
                </p>
                <p>{say(todo)}</p>
                <p className="text-quiet">
                  {say('trends.since', { day: say.dayMonth(since, zone), points })}
                </p>
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
