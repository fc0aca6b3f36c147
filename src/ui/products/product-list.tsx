'use client';

import { Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ListedProduct } from '@/core/wire/listed-product';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { ReadProducts } from './read-products';

interface Props {
  products: readonly ListedProduct[];
  removed: readonly { productId: number; name: string }[];
  mayChange: boolean;
}

/** Every product of the house, with what it is made of; those out of use below. */
export function ProductList({ products, removed, mayChange }: Props) {
  const say = useWords();
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const remove = async (productId: number, isRemoved: boolean) => {
    const answer = await send('remove-product', { productId, isRemoved });
    setTrouble(answer.ok ? null : answer.message);
    if (answer.ok) router.refresh();
  };
  return (
    <main className="flex-1 p-5">
      <ListHead mayChange={mayChange} />
      {trouble && (
        <p role="alert" className="mb-2 text-warn">
          {trouble}
        </p>
      )}
      {products.length === 0 && <p className="text-lg">{say('product.noneYet')}</p>}
      <ul>
        {products.map((product) => (
          <ProductItem
            key={product.productId}
            product={product}
            onRemove={mayChange ? () => void remove(product.productId, true) : null}
          />
        ))}
      </ul>
      {removed.length > 0 && (
        <section aria-label={say('product.outOfUse')} className="mt-6">
          <h2 className="border-b border-edge pb-1 text-xl font-bold">{say('product.outOfUse')}</h2>
          <ul>
            {removed.map(({ productId, name }) => (
              <li key={productId} className="flex items-center gap-3 border-b border-hairline py-1.5">
                <span className="mr-auto">{say.named(name)}</span>
                {mayChange && (
                  <Button onClick={() => void remove(productId, false)}>{say('product.bringBack')}</Button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
    </main>
  );
}

/** The heading, and the ways to a new product. */
function ListHead({ mayChange }: { mayChange: boolean }) {
  const say = useWords();
  const [isReading, setReading] = useState(false);
  return (
    <div className="mb-4 flex flex-wrap items-center gap-4">
      <h1 className="text-3xl font-bold">{say('product.products')}</h1>
      {mayChange && (
        <>
          <a
            href="/setup"
            className="grid min-h-10 place-items-center rounded border border-edge bg-flour px-4"
          >
            {say('product.fromTheShelf')}
          </a>
          <a
            href="/products/recipe"
            className="grid min-h-10 place-items-center rounded border border-edge bg-flour px-4"
          >
            {say('product.readARecipe')}
          </a>
          <Button className="min-h-10" onClick={() => setReading(true)}>
            {say('product.readIn')}
          </Button>
          {isReading && <ReadProducts onClose={() => setReading(false)} />}
          <a
            href="/products/new"
            className="ml-auto flex min-h-10 items-center gap-1 rounded bg-butter px-4 font-semibold text-on-butter"
          >
            <Plus aria-hidden size={18} />
            {say('product.newProduct')}
          </a>
        </>
      )}
    </div>
  );
}

interface ItemProps {
  product: ListedProduct;
  onRemove: (() => void) | null;
}

function ProductItem({ product, onRemove }: ItemProps) {
  const say = useWords();
  const { productId, name, formula, scheme, planned } = product;
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-b border-hairline py-1.5">
      <a
        href={`/products/${productId}`}
        className="grid min-h-10 min-w-56 items-center text-[17px] font-semibold underline underline-offset-4"
      >
        {say.named(name)}
      </a>
      <span className="mr-auto text-[15px] text-quiet">
        {[
          say.named(formula),
          scheme === null ? say('product.notLaminated') : say.named(scheme),
          say('product.doughsPlanned', { count: planned }),
        ].join(' · ')}
      </span>
      {onRemove && (
        <>
          <a
            href={`/products/new?like=${productId}`}
            className="grid min-h-9 place-items-center px-3 text-[15px] underline underline-offset-4"
            aria-label={say('product.copyOf', { name })}
          >
            {say('product.copy')}
          </a>
          <Button look="quiet" onClick={onRemove}>
            {say('house.takeOutOfUse')}
          </Button>
        </>
      )}
    </li>
  );
}
