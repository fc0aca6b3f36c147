'use client';

import { useState } from 'react';
import type { OrderBook } from '@/core/demand/book';
import type { Answer } from '@/core/floor/answer';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';

/** Shaped pieces in the freezer, and what of them the coming orders use. */
export function Freezer({
  book,
  products,
  onMove,
}: {
  book: OrderBook;
  products: ReadonlyMap<number, string>;
  onMove: (input: { productId: number; pieces: number; note: string }) => Promise<Answer>;
}) {
  const [productId, setProductId] = useState(String(book.makers[0]?.productId ?? ''));
  const [pieces, setPieces] = useState('');
  const usedOf = (id: number) =>
    book.taken.filter((one) => one.productId === id).reduce((sum, one) => sum + one.pieces, 0);
  return (
    <section aria-label="Freezer" className="mt-6">
      <h2 className="text-xl font-semibold">In the freezer</h2>
      {book.stock.length === 0 && <p className="text-quiet">Nothing shaped lies frozen.</p>}
      <ul>
        {book.stock.map(({ productId: id, pieces: stock }) => (
          <li key={id} className="flex justify-between border-b border-hairline py-1">
            <span>
              {stock} {products.get(id)?.toLowerCase()}
            </span>
            <span className="text-quiet">
              {usedOf(id) > 0 ? `${usedOf(id)} for these orders: thaw the night before` : 'free'}
            </span>
          </li>
        ))}
      </ul>
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
          label="Product"
          value={productId}
          options={book.makers.map(({ productId: id, name }) => ({ id: String(id), name }))}
          onChoose={setProductId}
        />
        <Field label="In, or −out" value={pieces} inputMode="text" onType={setPieces} />
        <Button type="submit" className="min-h-10">
          Note it
        </Button>
      </form>
    </section>
  );
}
