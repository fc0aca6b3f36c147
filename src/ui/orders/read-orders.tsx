'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import { readOrdersCsv, LONGEST_ORDERS } from '@/core/exchange/orders-csv';
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
  const say = useWords();
  return (
    <Sheet open={props.open} onOpenChange={props.onClose} title={say('orders.readOrdersFromAFile')}>
      <Form {...props} />
    </Sheet>
  );
}

function Form({ onClose, book, zone }: Props) {
  const say = useWords();
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
      <p>{say.rich('orders.aTableCSVUTF8', { b: (words) => <b>{words}</b> })}</p>
      <FileIn
        label={say('common.fileToRead')}
        accept=".csv,text/csv"
        longest={LONGEST_ORDERS}
        {...{ text, trouble }}
        onText={setText}
      />
      {read && read.faults.length > 0 && (
        <ul role="alert" aria-label={say('orders.faults')} className="text-warn">
          {read.faults.slice(0, 20).map(({ line, message }, i) => (
            <li key={i}>{say('common.line', { line, message: say.coded(message) })}</li>
          ))}
          {read.faults.length > 20 && <li>{say('orders.andMore', { count: read.faults.length - 20 })}</li>}
        </ul>
      )}
      {read && read.orders.length > 0 && (
        <ul aria-label={say('orders.ordersInIt')} className="max-h-60 overflow-y-auto" tabIndex={0}>
          {read.orders.slice(0, 200).map(({ line, customer, productId, pieces, dueAt }) => (
            <li key={line} className="flex justify-between gap-3 border-b border-hairline py-1">
              <span>
                {say('common.somePieces', { pieces, product: say.inLine(names.get(productId) ?? '') })},{' '}
                {customer}
              </span>
              <span>{say.dayTime(dueAt, zone)}</span>
            </li>
          ))}
        </ul>
      )}
      {read && read.orders.length > 0 && (
        <Button look="act" className="min-h-11 justify-self-start" onClick={() => void take()}>
          {say('orders.takeOrderOrdersLeavingThe', {
            count: read.orders.length,
            hasCount: read.faults.length > 0,
          })}
        </Button>
      )}
    </div>
  );
}
