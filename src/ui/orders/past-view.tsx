'use client';

import type { Outcome } from '@/core/demand/delivered';
import { dayOf } from '@/core/demand/orders';
import { clockTime } from '@/core/time/local';
import { useWords } from '../kit/words';

interface Props {
  outcomes: readonly Outcome[];
  /** Names of products by number. */
  products: readonly [number, string][];
  zone: string;
}

/** The orders of the last days and what became of them: delivered, late, short. */
export function PastOrdersView({ outcomes, products, zone }: Props) {
  const say = useWords();
  const nameOf = new Map(products);
  const days = [...new Set(outcomes.map(({ order }) => dayOf(order.dueAt, zone)))];
  return (
    <main className="flex-1 px-4 pb-6">
      <div className="flex flex-wrap items-baseline justify-between gap-3 py-2">
        <h1 className="text-2xl font-semibold">{say('orders.pastOrders')}</h1>
        <a href="/orders" className="grid min-h-11 place-items-center underline underline-offset-4">
          {say('orders.ordersToCome')}
        </a>
      </div>
      {days.length === 0 && <p className="text-lg">{say('orders.noPastOrders')}</p>}
      {days.map((day) => {
        const own = outcomes.filter(({ order }) => dayOf(order.dueAt, zone) === day);
        const sum = (part: (one: Outcome) => number) => own.reduce((all, one) => all + part(one), 0);
        const [ordered, late, short] = [
          sum((one) => one.order.pieces),
          sum((one) => one.late),
          sum((one) => one.short),
        ];
        const at = own[0]?.order.dueAt ?? 0;
        return (
          <section key={day} aria-label={say.longDayName(at, zone)} className="mb-5">
            <h2 className="flex flex-wrap items-baseline gap-x-3 border-b border-edge text-xl font-semibold">
              {say.longDayName(at, zone)}{' '}
              <span className="font-normal text-quiet">{say.dayMonth(at, zone)}</span>
              <span className="ml-auto text-[17px] font-normal">
                {say('orders.dayOutcome', { ordered, onTime: ordered - late - short, late, short })}
              </span>
            </h2>
            <table className="w-full text-[17px]">
              <thead className="text-left text-[15px] text-quiet">
                <tr>
                  <th className="w-20 py-1 font-normal">{say('orders.due')}</th>
                  <th className="font-normal">{say('orders.customer')}</th>
                  <th className="font-normal">{say('orders.product')}</th>
                  <th className="w-24 text-right font-normal">{say('orders.ordered')}</th>
                  <th className="w-24 text-right font-normal">{say('orders.inTime')}</th>
                  <th className="w-32 text-right font-normal">{say('orders.lateColumn')}</th>
                  <th className="w-24 text-right font-normal">{say('orders.shortColumn')}</th>
                </tr>
              </thead>
              <tbody>
                {own.map((one) => (
                  <PastRow
                    key={`${one.order.source.kind}${one.order.source.id}${one.order.dueAt}`}
                    {...{ one, zone }}
                    product={nameOf.get(one.order.productId) ?? ''}
                  />
                ))}
              </tbody>
            </table>
          </section>
        );
      })}
    </main>
  );
}

function PastRow({ one, product, zone }: { one: Outcome; product: string; zone: string }) {
  const say = useWords();
  const { order, onTime, late, lateAt, short, isUnrecorded } = one;
  return (
    <tr className="border-b border-hairline">
      <td className="py-1 font-medium">{clockTime(order.dueAt, zone)}</td>
      <td>{order.customer}</td>
      <td>
        {say.named(product)}
        {isUnrecorded && <span className="text-[15px] text-quiet"> {say('orders.notRecorded')}</span>}
      </td>
      <td className="text-right">{order.pieces}</td>
      <td className="text-right">{onTime}</td>
      <td className="text-right">
        {late === 0 ? '–' : say('orders.lateUntil', { late, time: clockTime(lateAt ?? 0, zone) })}
      </td>
      <td className={short > 0 ? 'text-right font-bold text-warn' : 'text-right'}>
        {short === 0 ? '–' : short}
      </td>
    </tr>
  );
}
