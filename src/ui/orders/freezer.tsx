'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import type { FromFreezer } from '@/core/demand/frozen';
import type { Answer } from '@/core/wire/answer';
import { dayTime } from '@/core/time/local';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';

/** Pieces that went into the freezer, or came out (below 0); `forDue`: for the order of that time. */
export interface FrozenMove {
  productId: number;
  pieces: number;
  note: string;
  forDue?: number;
}

/** Shaped pieces in the freezer, and what of them the coming orders use. */
export function Freezer({
  book,
  products,
  zone,
  onMove,
  onPlan,
}: {
  book: OrderBook;
  products: ReadonlyMap<number, string>;
  zone: string;
  onMove: (input: FrozenMove) => Promise<Answer>;
  /** Plans a batch of them; null for whoever does not plan. */
  onPlan: ((batch: FromFreezer) => void) | null;
}) {
  const say = useWords();
  const [productId, setProductId] = useState(String(book.makers[0]?.productId ?? ''));
  const [pieces, setPieces] = useState('');
  const usedOf = (id: number) =>
    book.taken.filter((one) => one.productId === id).reduce((sum, one) => sum + one.pieces, 0);
  return (
    <section aria-label={say('orders.freezer')} className="mt-6">
      <h2 className="text-xl font-semibold">{say('orders.inTheFreezer')}</h2>
      {book.stock.length === 0 && <p className="text-quiet">{say('orders.nothingShapedLiesFrozen')}</p>}
      <ul>
        {book.stock.map(({ productId: id, pieces: stock, promised }) => (
          <li key={id} className="flex justify-between border-b border-hairline py-1">
            <span>
              {stock} {products.get(id)?.toLowerCase()}
            </span>
            <span className="text-quiet">
              {[
                promised > 0 && say('orders.forPlannedBatches', { promised }),
                usedOf(id) > 0 && say('orders.forTheseOrdersThawThe', { usedOf: usedOf(id) }),
                usedOf(id) === 0 && stock > promised && say('orders.free'),
              ]
                .filter(Boolean)
                .join(', ')}
            </span>
          </li>
        ))}
      </ul>
      {book.taken.length > 0 && (
        <ul aria-label={say('orders.toThaw')} className="mt-2">
          {book.taken.map(({ productId: id, pieces: wanted, dueAt }) => (
            <li key={`${id} ${dueAt}`} className="flex items-center justify-between gap-2 py-0.5">
              <span>
                {say.rich('orders.for', {
                  wanted,
                  get: () => products.get(id)?.toLowerCase(),
                  time: dayTime(dueAt, zone),
                })}
              </span>
              {onPlan && (
                <Button onClick={() => onPlan({ productId: id, pieces: wanted, dueAt })}>
                  {say('orders.planTheBake')}
                </Button>
              )}
              <Button
                onClick={() => void onMove({ productId: id, pieces: -wanted, note: '', forDue: dueAt })}
              >
                {say('common.theyAreOut')}
              </Button>
            </li>
          ))}
        </ul>
      )}
      <form
        className="mt-2 grid grid-cols-[1fr_5rem_auto] items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void onMove({ productId: Number(productId), pieces: Number(pieces), note: '' }).then(
            (answer) => answer.ok && setPieces(''),
          );
        }}
      >
        <Choice
          label={say('orders.product')}
          value={productId}
          options={book.makers.map(({ productId: id, name }) => ({ id: String(id), name }))}
          onChoose={setProductId}
        />
        <Field label={say('orders.inOrOut')} value={pieces} inputMode="text" onType={setPieces} />
        <Button type="submit" className="min-h-10">
          {say('orders.noteIt')}
        </Button>
      </form>
    </section>
  );
}
