import { useWords } from '../kit/words';
import type { Machine } from '@/core/bakery/machines';
import type { ProposalBody } from '@/core/schedule/proposal';
import { duration } from '@/core/units/format';
import { shiftWords } from './words';

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
  const say = useWords();
  const { changes, needs, late, unsettled } = body;
  return (
    <div className="grid gap-2 text-[17px]">
      {needs.map((need) => (
        <p
          key={say.coded(need)}
          className="border-l-4 border-butter pl-3 font-semibold first-letter:uppercase"
        >
          {say.coded(need)}
        </p>
      ))}
      {changes.length === 0 && <p>{say('plan.nobodySWorkMoves')}</p>}
      <ol className="grid gap-1">
        {changes.slice(0, READ).map(({ doughId, dough, label, from, to, more, why, onto }) => (
          <li
            key={`${doughId} ${say.coded(label)} ${to} ${onto?.join() ?? ''}`}
            className="border-b border-hairline pb-1"
          >
            {say.rich('plan.spanDoughLabelPartValue', {
              span: (words) => <span className="font-semibold">{words}</span>,
              dough,
              label: say.inLine(say.coded(label)),
              part: more > 0 ? say('plan.andStepStepsAfterIt', { more }) : '',
              value: () =>
                onto ? (
                  <b>
                    {onto
                      .map((id) => say.named(machines.find((machine) => machine.id === id)?.label ?? id))
                      .join(', ')}
                  </b>
                ) : (
                  <>
                    <span className="whitespace-nowrap">
                      <s className="text-quiet">{say.dayTime(from, zone)}</s> <b>{say.dayTime(to, zone)}</b>
                    </span>
                    , {shiftWords(say, from, to)}
                  </>
                ),
            })}
            <span className="block text-[15px] text-quiet first-letter:uppercase">{say.coded(why)}</span>
          </li>
        ))}
      </ol>
      {changes.length > READ && <p>{say('plan.andMoreLines', { count: changes.length - READ })}</p>}
      {late.map(({ doughId, dough, product, dueAt, readyAt }) => (
        <p key={`${doughId} ${product}`} className="text-warn">
          {say('plan.readyLate2', {
            dough,
            product: say.inLine(product),
            time: say.dayTime(readyAt, zone),
            duration: duration((readyAt - dueAt) / 60_000),
          })}
        </p>
      ))}
      {late.length === 0 && <p>{say('plan.everyPromiseIsKept')}</p>}
      {unsettled && <p className="text-warn">{say('plan.waitsAndTimesStillChase')}</p>}
    </div>
  );
}
