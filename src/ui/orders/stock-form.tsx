'use client';

import { useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import { STOCK_KINDS, type StockKind } from '@/core/process/output-way';
import type { Answer } from '@/core/wire/answer';
import { Button } from '../kit/button';
import { Choice } from '../kit/field';
import { useWords } from '../kit/words';
import { AmountField, useAmount } from './amount-field';
import type { StockMoveInput } from './stock-move';

/** Records what somebody has put into stock or taken out of it by hand. */
export function StockForm({
  makers,
  onMove,
}: {
  makers: OrderBook['makers'];
  onMove: (input: StockMoveInput) => Promise<Answer>;
}) {
  const say = useWords();
  const [productId, setProductId] = useState(String(makers[0]?.productId ?? ''));
  const [kind, setKind] = useState<StockKind>('pieces');
  const much = useAmount(kind, '');
  const move = async (sign: 1 | -1) => {
    if (much.value === null) return much.complain();
    const answer = await onMove({ productId: Number(productId), kind, amount: sign * much.value });
    if (answer.ok) much.type('');
  };
  return (
    <form
      aria-label={say('orders.countStock')}
      className="mt-3 grid grid-cols-2 items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void move(1);
      }}
    >
      <Choice
        label={say('orders.product')}
        value={productId}
        options={makers.map(({ productId: id, name }) => ({ id: String(id), name: say.named(name) }))}
        onChoose={setProductId}
      />
      <Choice
        label={say('orders.keptAs')}
        value={kind}
        options={STOCK_KINDS.map((id) => ({
          id,
          name: say('orders.stockKind', { kind: id.replace('-', '_') }),
        }))}
        onChoose={(id) => {
          setKind(STOCK_KINDS.find((one) => one === id) ?? 'pieces');
          much.type('');
        }}
      />
      <AmountField key={kind} {...{ kind, much }} />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" className="min-h-10 flex-1">
          {say('orders.putIn')}
        </Button>
        <Button className="min-h-10 flex-1" onClick={() => void move(-1)}>
          {say('orders.takeOut')}
        </Button>
      </div>
    </form>
  );
}
