'use client';

import type { LearntTime } from '@/core/wire/trends';
import { duration } from '@/core/units/format';
import { TableHead } from '../kit/table-head';
import { useWords } from '../kit/words';

/** What the bakery has learned of its rises: what it changed, and how much nearer forecasts are for it. */
export function LearntTable({ learnt }: { learnt: readonly LearntTime[] }) {
  const say = useWords();
  const headings = [
    ...[say('trends.product'), say('trends.written'), say('trends.now')],
    ...[say('trends.off'), say('trends.offNow'), say('trends.tried')],
  ];
  return (
    <section aria-label={say('trends.learnt')}>
      <h2 className="text-2xl font-bold">{say('trends.learnt')}</h2>
      {learnt.length === 0 ? (
        <p className="text-lg">{say('trends.nothingLearnt')}</p>
      ) : (
        <div className="relative overflow-x-auto" tabIndex={0} role="group" aria-label={say('trends.learnt')}>
          <table className="w-full min-w-[44rem] border-collapse text-left text-lg">
            <TableHead headings={headings} />
            <tbody>
              {learnt.map(({ product, phase, ...one }) => (
                <tr key={`${product} ${phase}`} className="border-b border-hairline">
                  <th scope="row" className="py-1 pr-4 font-normal">
                    {say('trends.ofProduct', { product, phase: say('trends.phase', { phase }) })}
                  </th>
                  <td className="py-1 pr-4">{duration(one.written)}</td>
                  <td className="py-1 pr-4 font-semibold">{duration(Math.round(one.learnt))}</td>
                  <td className="py-1 pr-4">{duration(Math.round(one.offWritten))}</td>
                  <td className="py-1 pr-4 font-semibold">{duration(Math.round(one.offLearnt))}</td>
                  <td className="py-1 pr-4">{say('trends.waits', { count: one.tried })}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
