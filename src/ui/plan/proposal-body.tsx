import type { Machine } from '@/core/bakery/machines';
import { dayTime } from '@/core/time/local';
import type { ProposalBody } from '@/core/schedule/proposal';
import { duration } from '@/core/units/format';
import { pointsWords, shiftWords } from './words';

/** Lines of changes that a shift reads in half a minute; what is more is counted. */
const READ = 12;

/** What a proposed plan changes: what moves, from when to when, why; what it needs; what stays late. */
export function ProposalText({
  body,
  zone,
  machines,
}: {
  body: ProposalBody;
  zone: string;
  machines: readonly Machine[];
}) {
  const { changes, needs, late, cost, costBefore, unsettled } = body;
  return (
    <div className="grid gap-2 text-[17px]">
      {needs.map((need) => (
        <p key={need} className="border-l-4 border-butter pl-3 font-semibold first-letter:uppercase">
          {need}
        </p>
      ))}
      {changes.length === 0 && <p>Nobody’s work moves.</p>}
      <ol className="grid gap-1">
        {changes.slice(0, READ).map(({ doughId, dough, label, from, to, more, why, onto }) => (
          <li
            key={`${doughId} ${label} ${to} ${onto?.join() ?? ''}`}
            className="border-b border-hairline pb-1"
          >
            <span className="font-semibold">{dough}</span>, {label.toLowerCase()}
            {more > 0 && ` and ${more} ${more === 1 ? 'step' : 'steps'} after it`}:{' '}
            {onto ? (
              <b>{onto.map((id) => machines.find((machine) => machine.id === id)?.label ?? id).join(', ')}</b>
            ) : (
              <>
                <span className="whitespace-nowrap">
                  <s className="text-quiet">{dayTime(from, zone)}</s> <b>{dayTime(to, zone)}</b>
                </span>
                , {shiftWords(from, to)}
              </>
            )}
            <span className="block text-[15px] text-quiet first-letter:uppercase">{why}</span>
          </li>
        ))}
      </ol>
      {changes.length > READ && <p>and {changes.length - READ} more lines.</p>}
      {late.map(({ doughId, dough, product, dueAt, readyAt }) => (
        <p key={`${doughId} ${product}`} className="text-warn">
          {dough}: {product.toLowerCase()} ready {dayTime(readyAt, zone)},{' '}
          {duration((readyAt - dueAt) / 60_000)} late
        </p>
      ))}
      {late.length === 0 && <p>Every promise is kept.</p>}
      <p className="text-quiet">
        The plan {pointsWords(cost - costBefore)} ({cost} instead of {costBefore}).
      </p>
      {unsettled && (
        <p className="text-warn">
          Waits and times still chase one another by a few minutes; look at the waits again on the day.
        </p>
      )}
    </div>
  );
}
