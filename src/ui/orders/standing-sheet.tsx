'use client';

import { weekdays } from '@/words/weekdays';
import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import { clockOfDay, minuteOfDay } from '@/core/time/local';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { send } from '../live/command';

interface Props {
  open: boolean;
  onClose: () => void;
  book: OrderBook;
  products: ReadonlyMap<number, string>;
}

/** What customers want every week; a number of 0 ends it. */
export function StandingSheet({ open, onClose, book, products }: Props) {
  const say = useWords();
  return (
    <Sheet open={open} onOpenChange={onClose} title={say('orders.standingOrders')}>
      <List book={book} products={products} />
      <Form book={book} />
    </Sheet>
  );
}

function List({ book, products }: Pick<Props, 'book' | 'products'>) {
  const say = useWords();
  const lines = new Map<string, { text: string; days: number[] }>();
  for (const { customer, productId, weekday, dueMinute, pieces } of book.standing) {
    const text = say('orders.by', {
      pieces,
      get: say.inLine(products.get(productId) ?? ''),
      clockOfDay: clockOfDay(dueMinute),
      customer,
    });
    const line = lines.get(text) ?? { text, days: [] };
    line.days.push(weekday);
    lines.set(text, line);
  }
  return (
    <ul className="mb-4 max-h-64 overflow-y-auto" tabIndex={0} aria-label={say('orders.everyWeek')}>
      {[...lines.values()].map(({ text, days }) => (
        <li key={text} className="flex justify-between gap-3 border-b border-hairline py-1">
          <span>{text}</span>
          <span className="text-quiet">
            {days.map((day) => weekdays(say.language, 'short')[day - 1]).join(' ')}
          </span>
        </li>
      ))}
    </ul>
  );
}

function Form({ book }: Pick<Props, 'book'>) {
  const say = useWords();
  const router = useRouter();
  const [order, setOrder] = useState({
    customer: book.customers[0] ?? '',
    productId: String(book.makers[0]?.productId ?? ''),
    pieces: '',
    time: '06:30',
    weekdays: [6] as number[],
  });
  const [told, setTold] = useState<{ ok: boolean; message: string } | null>(null);
  const set = (part: Partial<typeof order>) => setOrder({ ...order, ...part });
  const save = async () => {
    const { customer, productId, pieces, weekdays } = order;
    const answer = await send('save-standing', {
      ...{ customer, productId, weekdays, pieces: pieces.trim(), dueMinute: minuteOfDay(order.time) },
    });
    setTold(answer.ok ? { ok: true, message: say('orders.kept') } : { ok: false, message: answer.message });
    router.refresh();
  };
  return (
    <form
      noValidate
      className="grid gap-3 border-t border-edge pt-3 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Field label={say('orders.customer')} value={order.customer} onType={(customer) => set({ customer })} />
      <Choice
        label={say('orders.product')}
        value={order.productId}
        options={book.makers.map(({ productId, name }) => ({ id: String(productId), name: say.named(name) }))}
        onChoose={(productId) => set({ productId })}
      />
      <Field
        label={say('orders.pieces')}
        hint={say('orders.n0EndsIt')}
        inputMode="numeric"
        value={order.pieces}
        onType={(pieces) => set({ pieces })}
      />
      <Field label={say('orders.readyBy')} type="time" value={order.time} onType={(time) => set({ time })} />
      <fieldset className="flex flex-wrap gap-2 sm:col-span-2">
        <legend className="text-[15px]">{say('orders.on')}</legend>
        {weekdays(say.language, 'short').map((name, i) => {
          const on = order.weekdays.includes(i + 1);
          return (
            <Button
              key={name}
              aria-pressed={on}
              onClick={() =>
                set({
                  weekdays: on ? order.weekdays.filter((day) => day !== i + 1) : [...order.weekdays, i + 1],
                })
              }
            >
              {name}
            </Button>
          );
        })}
      </fieldset>
      {told && (
        <p role={told.ok ? 'status' : 'alert'} className={told.ok ? '' : 'text-warn'}>
          {told.message}
        </p>
      )}
      <Button look="act" type="submit" className="min-h-11 justify-self-start sm:col-span-2">
        {say('orders.keepIt')}
      </Button>
    </form>
  );
}
