'use client';

import type { OrderBook } from '@/core/demand/book';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { useMinute } from '../live/clock';
import { percent, ProposalItem } from './proposal-item';
import { proposalKey, useProposals } from './use-proposals';

interface Props {
  book: OrderBook;
  zone: string;
  mayPlan: boolean;
  onPlanned: () => void;
}

/** Doughs for what has none yet, with what they cost; to be merged, split and planned. */
export function Proposals({ book, zone, mayPlan, onPlanned }: Props) {
  const say = useWords();
  const now = useMinute();
  const desk = useProposals(book, zone, onPlanned);
  const { doughs } = desk;
  const { bowlKg } = book.making;
  const inTime = doughs.filter(({ changeUntil }) => changeUntil >= now);
  const bowls = doughs.reduce((sum, dough) => sum + dough.bowls, 0);
  const kg = doughs.reduce((sum, dough) => sum + dough.kg, 0);
  return (
    <section aria-label={say('orders.proposedDoughs')}>
      <h2 className="text-2xl font-bold">{say('orders.proposedDoughs')}</h2>
      {doughs.length === 0 ? (
        <p className="mt-1 text-lg text-quiet">{say('orders.noneIsNeededForThese')}</p>
      ) : (
        <p className="text-quiet">
          {say('orders.doughDoughsBowlBowlsOf', {
            count: doughs.length,
            bowls,
            weight: say.shown({ kg: bowlKg }),
            percent: percent(kg / (bowls * bowlKg)),
          })}
        </p>
      )}
      <ol className="mt-2 grid gap-3">
        {doughs.map((dough) => (
          <ProposalItem
            key={proposalKey(dough)}
            {...{ dough, desk, zone, mayPlan }}
            isLate={!inTime.includes(dough)}
          />
        ))}
      </ol>
      {mayPlan && inTime.length > 1 && (
        <Button
          look="act"
          className="mt-3"
          disabled={desk.busy !== null}
          onClick={() => void desk.plan(inTime)}
        >
          {say('orders.planAll', { count: inTime.length })}
        </Button>
      )}
    </section>
  );
}
