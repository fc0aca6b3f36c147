'use client';

import { useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import { readOrdersCsv, LONGEST_ORDERS } from '@/core/exchange/orders-csv';
import { dayTime } from '@/core/time/local';
import { Button } from '../kit/button';
import { FileIn } from '../kit/file-in';
import { Sheet } from '../kit/sheet';
import { useMinute } from '../live/clock';
import { send } from '../live/command';

interface Props {
  open: boolean;
  onClose: () => void;
  book: OrderBook;
  zone: string;
}

/** Reads orders from a table, shows what is in it and every fault by its line, and takes them all or none. */
export function ReadOrders(props: Props) {
  return (
    <Sheet open={props.open} onOpenChange={props.onClose} title="Read orders from a file">
      <Form {...props} />
    </Sheet>
  );
}

function Form({ onClose, book, zone }: Props) {
  const now = useMinute();
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const products = book.makers.map(({ productId, name }) => ({ id: productId, name }));
  const read = text === '' ? null : readOrdersCsv(text, products, { now, zone });
  const names = new Map(products.map(({ id, name }) => [id, name]));
  const take = async () => {
    const orders = (read?.orders ?? []).map(({ customer, productId, pieces, due }) => {
      return { clientId: crypto.randomUUID(), customer, productId, pieces, due };
    });
    const answer = await send('take-orders', { orders });
    if (answer.ok) onClose();
    else setTrouble(answer.message);
  };
  return (
    <div className="grid gap-4">
      <p>
        A table (CSV, UTF-8) whose first line names the columns <b>customer, product, pieces, day, time</b>: a
        day such as 2026-11-22, a time such as 06:30.
      </p>
      <FileIn
        label="File to read"
        accept=".csv,text/csv"
        longest={LONGEST_ORDERS}
        text={text}
        onText={setText}
      />
      {trouble && (
        <p role="alert" className="text-warn">
          {trouble}
        </p>
      )}
      {read && read.faults.length > 0 && (
        <ul role="alert" aria-label="Faults" className="text-warn">
          {read.faults.slice(0, 20).map(({ line, message }, i) => (
            <li key={i}>
              Line {line}: {message}
            </li>
          ))}
          {read.faults.length > 20 && <li>and {read.faults.length - 20} more.</li>}
        </ul>
      )}
      {read && read.orders.length > 0 && (
        <ul aria-label="Orders in it" className="max-h-60 overflow-y-auto" tabIndex={0}>
          {read.orders.slice(0, 200).map(({ line, customer, productId, pieces, dueAt }) => (
            <li key={line} className="flex justify-between gap-3 border-b border-hairline py-1">
              <span>
                {pieces} {names.get(productId)?.toLowerCase()}, {customer}
              </span>
              <span>{dayTime(dueAt, zone)}</span>
            </li>
          ))}
        </ul>
      )}
      {read && read.orders.length > 0 && (
        <Button look="act" className="min-h-11 justify-self-start" onClick={() => void take()}>
          Take {read.orders.length} {read.orders.length === 1 ? 'order' : 'orders'}
          {read.faults.length > 0 && ', leaving the faulty lines out'}
        </Button>
      )}
    </div>
  );
}
