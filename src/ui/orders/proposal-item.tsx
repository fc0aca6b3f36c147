'use client';

import type { ProposedDough } from '@/core/demand/propose';
import { duration } from '@/core/units/format';
import { Button } from '../kit/button';
import { allergenNames } from '@/words/code-names';
import { useWords } from '../kit/words';
import { type ProposalDesk, proposalKey } from './use-proposals';

interface Props {
  dough: ProposedDough;
  desk: ProposalDesk;
  zone: string;
  /** It can no longer be ready in time. */
  isLate: boolean;
  mayPlan: boolean;
}

/** One proposed dough: what it makes, how full its bowls are, until when it may be changed. */
export function ProposalItem({ dough, desk, zone, isLate, mayPlan }: Props) {
  const say = useWords();
  const outcome = desk.outcomeOf(dough);
  return (
    <li className="border-l-4 border-edge pl-3">
      {dough.outputs.map(({ productId, product, pieces, dueAt }) => (
        <p key={`${productId} ${dueAt}`} className="flex justify-between gap-2 text-[17px]">
          <span className="font-semibold">
            {say('common.somePieces', { pieces, product: say.inLine(product) })}
          </span>
          <span>{say.dayTime(dueAt, zone)}</span>
        </p>
      ))}
      <ProposalFacts {...{ dough, zone, isLate }} />
      {outcome && (
        <p role="alert" className="text-warn">
          {outcome.message}
        </p>
      )}
      {mayPlan && <ProposalActs {...{ dough, desk, isLate }} />}
    </li>
  );
}

function ProposalFacts({ dough, zone, isLate }: Pick<Props, 'dough' | 'zone' | 'isLate'>) {
  const say = useWords();
  const spare = dough.outputs.reduce((sum, output) => sum + output.spare, 0);
  const until = { time: say.dayTime(dough.changeUntil, zone) };
  return (
    <p className="text-[15px] text-quiet">
      {say.rich('orders.inBowlBowlsFull', {
        weight: say.shown({ kg: dough.kg }),
        bowls: dough.bowls,
        percent: percent(dough.fill),
        part: spare === 0 ? say('orders.nothingLeftOver') : say('orders.piecesForTheFreezer', { spare }),
        part2: dough.waits > 0 ? say('orders.readyBeforeTheLastIs', { duration: duration(dough.waits) }) : '',
        value: () =>
          isLate ? (
            <strong className="text-warn">{say('orders.tooLateToBeReady', until)}</strong>
          ) : (
            say('orders.changeUntil2', until)
          ),
        part3:
          dough.apart.length > 0
            ? say('orders.hasKeptApart', {
                apart: allergenNames(say, dough.apart),
              })
            : '',
      })}
    </p>
  );
}

function ProposalActs({ dough, desk, isLate }: Pick<Props, 'dough' | 'desk' | 'isLate'>) {
  const say = useWords();
  const disabled = desk.busy !== null;
  const room = desk.roomOf(dough);
  return (
    <div className="mt-1 flex flex-wrap gap-2">
      {!isLate && (
        <Button disabled={disabled} onClick={() => void desk.plan([dough])}>
          {desk.busy === proposalKey(dough) ? say('common.findingItsPlace') : say('orders.planIt')}
        </Button>
      )}
      {(desk.outcomeOf(dough)?.late || isLate) && (
        <Button disabled={disabled} onClick={() => void desk.plan([dough], true)}>
          {say('orders.planItLate')}
        </Button>
      )}
      <Button look="quiet" onClick={() => desk.split(dough)}>
        {say('orders.split')}
      </Button>
      {room && (
        <Button look="quiet" onClick={() => desk.fill(dough, room)}>
          {say('orders.moreToFreeze', { pieces: room.pieces })}
        </Button>
      )}
      {desk.hasNext(dough) && (
        <Button look="quiet" onClick={() => desk.merge(dough)}>
          {say('orders.withTheNext')}
        </Button>
      )}
    </div>
  );
}

/** A share as a whole per cent. */
export const percent = (share: number) => `${Math.round(100 * share)} %`;
