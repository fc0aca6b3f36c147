'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import { clockOfDay, minuteOfDay } from '@/core/time/local';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { send } from '../live/command';

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

interface Props {
  open: boolean;
  onClose: () => void;
  book: OrderBook;
  products: ReadonlyMap<number, string>;
}

/** What customers want every week; a number of 0 ends it. */
export function StandingSheet({ open, onClose, book, products }: Props) {
  return (
    <Sheet open={open} onOpenChange={onClose} title="Standing orders">
      <List book={book} products={products} />
      <Form book={book} />
    </Sheet>
  );
}

function List({ book, products }: Pick<Props, 'book' | 'products'>) {
  const lines = new Map<string, { text: string; days: number[] }>();
  for (const { customer, productId, weekday, dueMinute, pieces } of book.standing) {
    const text = `${pieces} ${products.get(productId)?.toLowerCase() ?? ''} by ${clockOfDay(dueMinute)}, ${customer}`;
    const line = lines.get(text) ?? { text, days: [] };
    line.days.push(weekday);
    lines.set(text, line);
  }
  return (
    <ul className="mb-4 max-h-64 overflow-y-auto" tabIndex={0} aria-label="Every week">
      {[...lines.values()].map(({ text, days }) => (
        <li key={text} className="flex justify-between gap-3 border-b border-hairline py-1">
          <span>{text}</span>
          <span className="text-quiet">{days.map((day) => DAYS[day - 1]).join(' ')}</span>
        </li>
      ))}
    </ul>
  );
}

function Form({ book }: Pick<Props, 'book'>) {
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
    setTold(answer.ok ? { ok: true, message: 'Kept.' } : { ok: false, message: answer.message });
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
      <Field label="Customer" value={order.customer} onType={(customer) => set({ customer })} />
      <Choice
        label="Product"
        value={order.productId}
        options={book.makers.map(({ productId, name }) => ({ id: String(productId), name }))}
        onChoose={(productId) => set({ productId })}
      />
      <Field
        label="Pieces"
        hint="0 ends it"
        inputMode="numeric"
        value={order.pieces}
        onType={(pieces) => set({ pieces })}
      />
      <Field label="Ready by" type="time" value={order.time} onType={(time) => set({ time })} />
      <fieldset className="flex flex-wrap gap-2 sm:col-span-2">
        <legend className="text-[15px]">On</legend>
        {DAYS.map((name, i) => {
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
        Keep it
      </Button>
    </form>
  );
}
