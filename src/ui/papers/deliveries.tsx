import { clockTime } from '@/core/time/local';
import type { DeliveryLine } from '@/core/exchange/papers';
import { useWords } from '../kit/words';
import { grouped, PaperTable, TickBox } from './paper-table';

/** What each customer gets on a day, and what of it is missing or late. */
export function Deliveries({ lines, zone }: { lines: readonly DeliveryLine[]; zone: string }) {
  const say = useWords();
  const head = [
    ...[
      say('papers.done'),
      say('papers.time'),
      say('papers.product'),
      say('papers.pieces'),
      say('papers.from'),
    ],
  ];
  return grouped(lines, ({ customer }) => customer).map(([customer, own]) => (
    <section key={customer} aria-label={customer} className="mb-5 break-inside-avoid">
      <h2 className="flex justify-between text-xl font-semibold">
        {customer}
        <span className="text-[17px] font-normal">
          {say('papers.total', { pieces: own.reduce((sum, { pieces }) => sum + pieces, 0) })}
        </span>
      </h2>
      <PaperTable
        head={head}
        rows={own.map((line) => ({
          key: `${line.at} ${line.product}`,
          cells: [
            <TickBox key="tick" />,
            clockTime(line.at, zone),
            line.product,
            <span key="pieces">
              <b>{line.pieces}</b>
              {line.short > 0 && `, ${say('papers.missing', { short: line.short })}`}
              {line.late > 0 && `, ${say('papers.late', { late: line.late })}`}
            </span>,
            line.from.join(', '),
          ],
        }))}
      />
    </section>
  ));
}
