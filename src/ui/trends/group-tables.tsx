'use client';

import type { FeatureId } from '@/core/diagnosis/features';
import type { BatchSummary } from '@/core/diagnosis/summary';
import { type GroupTrend, groupTrends, type Range, shiftOf, SHIFTS } from '@/core/diagnosis/trends';
import { TableHead } from '../kit/table-head';
import { useWords } from '../kit/words';
import { useSigned } from '../compare/use-signed';

interface Props {
  batches: readonly BatchSummary[];
  zone: string;
  /** Names by ids; none where the house names nobody here. */
  people: Readonly<Record<number, string>>;
}

/** How batches came out by product, by when they were mixed, and, where the house wants it, by who mixed them. */
export function GroupTables({ batches, zone, people }: Props) {
  const say = useWords();
  const shifts = groupTrends(batches, ({ mixedAt }) => (mixedAt === null ? null : shiftOf(mixedAt, zone)));
  const persons = groupTrends(batches, ({ mixedBy }) => mixedBy);
  const products = groupTrends(batches, ({ product }) => product);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6">
      <GroupTable title={say('trends.byProduct')} heading={say('trends.product')} groups={products} />
      <GroupTable
        title={say('trends.byShift')}
        heading={say('trends.group')}
        groups={SHIFTS.flatMap((shift) =>
          shifts.flatMap((group) =>
            group.key === shift ? [{ ...group, key: say('trends.shift', { shift }) }] : [],
          ),
        )}
      />
      {Object.keys(people).length > 0 && (
        <GroupTable
          title={say('trends.byPerson')}
          heading={say('trends.person')}
          groups={persons.map((group) => ({ ...group, key: people[group.key] ?? '' }))}
        />
      )}
    </div>
  );
}

function GroupTable({
  title,
  heading,
  groups,
}: {
  title: string;
  heading: string;
  groups: readonly GroupTrend<string>[];
}) {
  const say = useWords();
  const signed = useSigned();
  const range = (feature: FeatureId, of: Range | null) =>
    of === null
      ? say('trends.nothing')
      : say('trends.rangeOf', {
          middle: signed(feature, of.middle),
          low: signed(feature, of.low),
          high: signed(feature, of.high),
        });
  const headings = [
    ...[heading, say('trends.batches'), say('trends.doughAgainstTarget')],
    ...[say('compare.proofLate'), say('trends.lost')],
  ];
  return (
    <section aria-label={title}>
      <h2 className="text-2xl font-bold">{title}</h2>
      <div className="relative overflow-x-auto" tabIndex={0} role="group" aria-label={title}>
        <table className="w-full min-w-[36rem] border-collapse text-left text-lg">
          <TableHead headings={headings} />
          <tbody>
            {groups.map(({ key, batches, mixedOff, proofLate, lost }) => (
              <tr key={key} className="border-b border-hairline">
                <th scope="row" className="py-1 pr-4 font-normal whitespace-nowrap">
                  {key}
                </th>
                <td className="py-1 pr-4">{batches}</td>
                <td className="py-1 pr-4">{range('mixedOff', mixedOff)}</td>
                <td className="py-1 pr-4">{range('proofLate', proofLate)}</td>
                <td className="py-1 pr-4 whitespace-nowrap">
                  {lost === null ? say('trends.nothing') : `${say.number(100 * lost, 1)} %`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
