'use client';

import { useState } from 'react';
import type { Kept, OrderBook } from '@/core/demand/book';
import type { FromFreezer } from '@/core/demand/stock';
import { STOCK_KINDS } from '@/core/process/output-way';
import type { Answer } from '@/core/wire/answer';
import { type Instant } from '@/core/time/local';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { DiscardSheet } from './discard-sheet';
import { StockForm } from './stock-form';
import { StockLine } from './stock-line';
import type { StockMoveInput } from './stock-move';

interface Props {
  book: OrderBook;
  products: ReadonlyMap<number, string>;
  zone: string;
  now: Instant;
  onMove: (input: StockMoveInput) => Promise<Answer>;
  /** Plans a batch of frozen pieces; null for whoever does not plan. */
  onPlan: ((batch: FromFreezer) => void) | null;
}

/** What is kept for later, by kind and date, what the coming orders use of it, and what was put away, taken or thrown away. */
export function StockPanel({ book, products, zone, now, onMove, onPlan }: Props) {
  const say = useWords();
  const [discarding, setDiscarding] = useState<Kept | null>(null);
  const forOrders = ({ kind, makes }: Kept) =>
    kind === 'pieces'
      ? book.taken.filter((one) => makes.includes(one.productId)).reduce((sum, { pieces }) => sum + pieces, 0)
      : 0;
  return (
    <section aria-label={say('orders.stock')} className="mt-6">
      <h2 className="text-xl font-semibold">{say('orders.stock')}</h2>
      {book.stock.length === 0 && <p className="text-quiet">{say('orders.nothingInStock')}</p>}
      {STOCK_KINDS.map((kind) => {
        const own = book.stock.filter((one) => one.kind === kind);
        return (
          own.length > 0 && (
            <section key={kind} aria-label={say('orders.stockKind', { kind: kind.replace('-', '_') })}>
              <h3 className="mt-2 font-semibold">
                {say('orders.stockKind', { kind: kind.replace('-', '_') })}
              </h3>
              <ul>
                {own.map((one) => (
                  <StockLine
                    key={`${one.kind} ${one.productId}`}
                    {...{ kept: one, zone, now, forOrders: forOrders(one) }}
                    onDiscard={() => setDiscarding(one)}
                  />
                ))}
              </ul>
            </section>
          )
        );
      })}
      <ToThaw {...{ taken: book.taken, products, zone, onMove, onPlan }} />
      <StockForm makers={book.makers} onMove={onMove} />
      {discarding && (
        <DiscardSheet kept={discarding} now={now} onMove={onMove} onClose={() => setDiscarding(null)} />
      )}
    </section>
  );
}

/** What comes out of the freezer for coming orders, to be planned or ticked off. */
function ToThaw({
  taken,
  products,
  zone,
  onMove,
  onPlan,
}: Pick<Props, 'products' | 'zone' | 'onMove' | 'onPlan'> & { taken: readonly FromFreezer[] }) {
  const say = useWords();
  if (taken.length === 0) return null;
  return (
    <section aria-label={say('orders.toThaw')}>
      <h3 className="mt-2 font-semibold">{say('orders.toThaw')}</h3>
      <ul aria-label={say('orders.toThaw')}>
        {taken.map(({ productId, pieces, dueAt }) => (
          <li key={`${productId} ${dueAt}`} className="flex items-center justify-between gap-2 py-0.5">
            <span>
              {say.rich('orders.for', {
                wanted: pieces,
                get: () => say.inLine(products.get(productId) ?? ''),
                time: say.dayTime(dueAt, zone),
              })}
            </span>
            {onPlan && (
              <Button onClick={() => onPlan({ productId, pieces, dueAt })}>
                {say('orders.planTheBake')}
              </Button>
            )}
            <Button
              onClick={() => void onMove({ productId, kind: 'pieces', amount: -pieces, forDue: dueAt })}
            >
              {say('common.theyAreOut')}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
