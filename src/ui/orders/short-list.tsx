'use client';

import { Check } from 'lucide-react';
import { toldOf, type Shortage, type Told } from '@/core/demand/short';
import { dayOf } from '@/core/demand/orders';
import { clockTime } from '@/core/time/local';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';

/** What is told, as `mark-told` takes it. */
export interface TellInput extends Pick<Shortage, 'missing' | 'late' | 'lateUntil'> {
  source: Told['source'];
  told: boolean;
}

/** The orders that go short, by time: what to tell each customer, and whether somebody has. */
export function ShortList({
  short,
  told,
  products,
  zone,
  onTell,
}: {
  short: readonly Shortage[];
  told: readonly Told[];
  products: ReadonlyMap<number, string>;
  zone: string;
  onTell: (input: TellInput) => void;
}) {
  const say = useWords();
  if (short.length === 0) return null;
  const lines = short.map((one) => {
    const { source, dueAt } = one.order;
    const day = source.kind === 'standing' ? source.day : dayOf(dueAt, zone);
    return { one, day, known: toldOf(one, told, day) };
  });
  const open = lines.filter(({ known }) => known === null).length;
  return (
    <section aria-label={say('orders.shortOrders')} className="mb-4 border-l-4 border-warn pl-4">
      <h2 className="text-xl font-semibold text-warn">{say('orders.customersToTell', { open })}</h2>
      <ul>
        {lines.map(({ one, day, known }) => {
          const { order, missing, missingBy, late, lateUntil, instead } = one;
          const product = products.get(order.productId) ?? '';
          const tell = (isTold: boolean) =>
            onTell({
              source: { kind: order.source.kind, id: order.source.id, day },
              ...{ missing, late, lateUntil, told: isTold },
            });
          return (
            <li
              key={`${order.source.kind}${order.source.id}${day}`}
              className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-b border-hairline py-2 text-[17px]"
            >
              <span className={known ? 'text-quiet' : ''}>
                <b>{order.customer}</b>, {say.dayTime(order.dueAt, zone)}
                {missing > 0 && (
                  <span className="block">
                    {say('orders.piecesMissing', {
                      ...{ missing, pieces: order.pieces, product },
                      isEver: missingBy !== null,
                      time: say.dayTime(missingBy ?? order.dueAt, zone),
                    })}
                  </span>
                )}
                {late > 0 && lateUntil !== null && (
                  <span className="block">
                    {say('orders.piecesLate', {
                      late,
                      pieces: order.pieces,
                      product,
                      time: say.dayTime(lateUntil, zone),
                    })}
                  </span>
                )}
                {instead.length > 0 && (
                  <span className="block">
                    {say('orders.offerInstead', {
                      offers: instead
                        .map(({ pieces, productId }) =>
                          say('orders.someOf', { pieces, product: products.get(productId) ?? '' }),
                        )
                        .join(', '),
                    })}
                  </span>
                )}
              </span>
              {known ? (
                <span className="flex items-center gap-2 text-quiet">
                  <Check aria-hidden size={20} />
                  {say('orders.toldBy', { by: known.by, time: clockTime(known.at, zone) })}
                  <Button look="quiet" className="min-h-14" onClick={() => tell(false)}>
                    {say('orders.notTold')}
                  </Button>
                </span>
              ) : (
                <Button className="min-h-14 px-4" onClick={() => tell(true)}>
                  {say('orders.markTold', { customer: order.customer })}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
