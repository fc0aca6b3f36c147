'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { send } from '../live/command';

interface Props {
  open: boolean;
  onClose: () => void;
  book: OrderBook;
}

/** An order for one day. */
export function AddOrder(props: Props) {
  const say = useWords();
  return (
    <Sheet open={props.open} onOpenChange={props.onClose} title={say('orders.addOrder')}>
      <Form {...props} />
    </Sheet>
  );
}

function Form({ onClose, book }: Props) {
  const say = useWords();
  const [clientId] = useState(() => crypto.randomUUID());
  const [order, setOrder] = useState({
    customer: book.customers[0] ?? '',
    productId: String(book.makers[0]?.productId ?? ''),
    pieces: '',
    day: '',
    time: '06:30',
  });
  const [trouble, setTrouble] = useState<{ field: string | null; message: string } | null>(null);
  const set = (part: Partial<typeof order>) => setOrder({ ...order, ...part });
  const at = (field: string) => (trouble?.field === field ? trouble.message : null);
  const add = async () => {
    const { customer, productId, pieces, day, time } = order;
    const answer = await send('add-order', {
      clientId,
      customer,
      productId,
      pieces: pieces.trim(),
      due: `${day}T${time}`,
    });
    if (answer.ok) onClose();
    else setTrouble(answer);
  };
  return (
    <form
      noValidate
      className="grid gap-4 sm:grid-cols-2"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <Field
        label={say('orders.customer')}
        list="customers"
        value={order.customer}
        trouble={at('customer')}
        onType={(customer) => set({ customer })}
      />
      <datalist id="customers">
        {book.customers.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <Choice
        label={say('orders.product')}
        value={order.productId}
        trouble={at('productId')}
        options={book.makers.map(({ productId, name }) => ({ id: String(productId), name: say.named(name) }))}
        onChoose={(productId) => set({ productId })}
      />
      <Field
        label={say('orders.pieces')}
        inputMode="numeric"
        value={order.pieces}
        trouble={at('pieces')}
        onType={(pieces) => set({ pieces })}
      />
      <div className="grid grid-cols-2 gap-2">
        <Field
          label={say('orders.day')}
          type="date"
          value={order.day}
          trouble={at('due')}
          onType={(day) => set({ day })}
        />
        <Field
          label={say('orders.readyBy')}
          type="time"
          value={order.time}
          onType={(time) => set({ time })}
        />
      </div>
      {trouble && !['customer', 'productId', 'pieces', 'due'].includes(trouble.field ?? '') && (
        <p role="alert" className="text-warn">
          {trouble.message}
        </p>
      )}
      <Button look="act" type="submit" className="min-h-11 justify-self-start text-lg">
        {say('orders.addOrder')}
      </Button>
    </form>
  );
}
