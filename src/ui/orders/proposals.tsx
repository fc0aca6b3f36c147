'use client';

import { useWords } from '../kit/words';
import { useMemo, useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import {
  makeTheSame,
  mergeDoughs,
  roomForFreezer,
  splitDough,
  withSpare,
  type ProposedDough,
} from '@/core/demand/propose';
import { dayTime, formatLocal } from '@/core/time/local';
import { duration, weight } from '@/core/units/format';
import { Button } from '../kit/button';
import { useMinute } from '../live/clock';
import { send } from '../live/command';

interface Props {
  book: OrderBook;
  zone: string;
  mayPlan: boolean;
  onPlanned: () => void;
}

/** Pieces of a product that a house likes to have in the freezer. */
const KEPT_FROZEN = 48;

/** What became of a proposal that was to be planned. */
type Outcome = { message: string; late: boolean };

/** Doughs for what has none yet, with what they cost; to be merged, split and planned. */
export function Proposals({ book, zone, mayPlan, onPlanned }: Props) {
  const say = useWords();
  const { makers, making } = book;
  const now = useMinute();
  const [edited, setDoughs] = useState(book.proposals);
  // What was merged and split by hand stands as long as it makes what is wanted.
  const doughs = makeTheSame(edited, book.proposals) ? edited : book.proposals;
  const [ids] = useState(() => new Map<string, string>());
  const [busy, setBusy] = useState<string | null>(null);
  const [outcomes, setOutcomes] = useState<ReadonlyMap<string, Outcome>>(new Map());
  const tell = (dough: ProposedDough, outcome: Outcome | null) =>
    setOutcomes((before) => {
      const next = new Map(before);
      if (outcome) next.set(keyOf(dough), outcome);
      else next.delete(keyOf(dough));
      return next;
    });

  const plan = async (dough: ProposedDough, late: boolean): Promise<boolean> => {
    const key = keyOf(dough);
    setBusy(key);
    const outputs = dough.outputs.map(({ productId, pieces, dueAt }) => {
      return { productId, pieces, due: formatLocal(dueAt, zone) };
    });
    // A proposal that is planned twice, by a second tap, is one dough.
    const id = ids.get(key) ?? crypto.randomUUID();
    ids.set(key, id);
    const answer = await send('add-dough', { clientId: id, outputs, ...(late ? { late } : {}) });
    setBusy(null);
    tell(dough, answer.ok ? null : { message: answer.message, late: answer.offer !== null });
    return answer.ok;
  };
  const planThese = async (chosen: readonly ProposedDough[], late = false) => {
    const planned = new Set<ProposedDough>();
    for (const dough of chosen) if (await plan(dough, late)) planned.add(dough);
    if (planned.size === 0) return;
    setDoughs(doughs.filter((dough) => !planned.has(dough)));
    onPlanned();
  };
  const merge = (dough: ProposedDough, nth: number) => {
    const next = doughs[nth + 1];
    if (!next) return;
    const merged = mergeDoughs(dough, next, makers, making);
    if ('refused' in merged) tell(dough, { message: say.coded(merged.refused), late: false });
    else setDoughs(doughs.flatMap((one) => (one === next ? [] : one === dough ? [merged] : [one])));
  };
  const split = (dough: ProposedDough) => {
    const parts = splitDough(dough, makers, making);
    if ('refused' in parts) tell(dough, { message: say.coded(parts.refused), late: false });
    else setDoughs(doughs.flatMap((one) => (one === dough ? parts : [one])));
  };
  // Each is a dough that has to be rolled and cut once more: not at every look.
  const rooms = useMemo(() => {
    const missing = (id: number) =>
      KEPT_FROZEN - (book.stock.find(({ productId }) => productId === id)?.pieces ?? 0);
    return doughs.map((dough) =>
      dough.outputs.some(({ spare }) => spare > 0) ? null : roomForFreezer(dough, makers, making, missing),
    );
  }, [doughs, makers, making, book.stock]);
  const isLate = ({ changeUntil }: ProposedDough) => changeUntil < now;
  const inTime = doughs.filter((dough) => !isLate(dough));
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
            weight: weight(making.bowlKg),
            percent: percent(kg / (bowls * making.bowlKg)),
          })}
        </p>
      )}
      <ol className="mt-2 grid gap-3">
        {doughs.map((dough, nth) => {
          const outcome = outcomes.get(keyOf(dough));
          const spare = dough.outputs.reduce((sum, output) => sum + output.spare, 0);
          const room = rooms[nth] ?? null;
          return (
            <li key={keyOf(dough)} className="border-l-4 border-edge pl-3">
              {dough.outputs.map(({ productId, product, pieces, dueAt }) => (
                <p key={`${productId} ${dueAt}`} className="flex justify-between gap-2 text-[17px]">
                  <span className="font-semibold">
                    {pieces} {product.toLowerCase()}
                  </span>
                  <span>{dayTime(dueAt, zone)}</span>
                </p>
              ))}
              <p className="text-[15px] text-quiet">
                {say.rich('orders.inBowlBowlsFull', {
                  weight: weight(dough.kg),
                  bowls: dough.bowls,
                  percent: percent(dough.fill),
                  part:
                    spare === 0
                      ? say('orders.nothingLeftOver')
                      : say('orders.piecesForTheFreezer', { spare }),
                  part2:
                    dough.waits > 0
                      ? say('orders.readyBeforeTheLastIs', { duration: duration(dough.waits) })
                      : '',
                  value: () =>
                    isLate(dough) ? (
                      <strong className="text-warn">
                        {say('orders.tooLateToBeReady', { time: dayTime(dough.changeUntil, zone) })}
                      </strong>
                    ) : (
                      say('orders.changeUntil2', { time: dayTime(dough.changeUntil, zone) })
                    ),
                  part3:
                    dough.apart.length > 0
                      ? say('orders.hasKeptApart', { apart: dough.apart.join(', ') })
                      : '',
                })}
              </p>
              {outcome && (
                <p role="alert" className="text-warn">
                  {outcome.message}
                </p>
              )}
              {mayPlan && (
                <div className="mt-1 flex flex-wrap gap-2">
                  {!isLate(dough) && (
                    <Button disabled={busy !== null} onClick={() => void planThese([dough])}>
                      {busy === keyOf(dough) ? say('common.findingItsPlace') : say('orders.planIt')}
                    </Button>
                  )}
                  {(outcome?.late || isLate(dough)) && (
                    <Button disabled={busy !== null} onClick={() => void planThese([dough], true)}>
                      {say('orders.planItLate')}
                    </Button>
                  )}
                  <Button look="quiet" onClick={() => split(dough)}>
                    {say('orders.split')}
                  </Button>
                  {room && (
                    <Button
                      look="quiet"
                      onClick={() =>
                        setDoughs(
                          doughs.map((one) => (one === dough ? withSpare(dough, room, makers, making) : one)),
                        )
                      }
                    >
                      {say('orders.moreToFreeze', { pieces: room.pieces })}
                    </Button>
                  )}
                  {nth + 1 < doughs.length && (
                    <Button look="quiet" onClick={() => merge(dough, nth)}>
                      {say('orders.withTheNext')}
                    </Button>
                  )}
                </div>
              )}
            </li>
          );
        })}
      </ol>
      {mayPlan && inTime.length > 1 && (
        <Button look="act" className="mt-3" disabled={busy !== null} onClick={() => void planThese(inTime)}>
          {say('orders.planAll', { count: inTime.length })}
        </Button>
      )}
    </section>
  );
}

const percent = (share: number) => `${Math.round(100 * share)} %`;

/** Two proposals with the same outputs are the same. */
const keyOf = ({ outputs }: ProposedDough): string => JSON.stringify(outputs);
