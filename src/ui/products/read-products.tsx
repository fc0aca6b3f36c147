'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { ProductsPreview } from '@/core/wire/products-preview';
import { Button } from '../kit/button';
import { FileIn } from '../kit/file-in';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { send, workOut } from '../live/command';

/** Longest file that is read, characters. */
const LONGEST = 220_000;

/** Reads products from a file, shows what it would bring, and takes those that are ticked. */
export function ReadProducts({ onClose }: { onClose: () => void }) {
  const say = useWords();
  const router = useRouter();
  const [text, setText] = useState('');
  const [preview, setPreview] = useState<ProductsPreview | null>(null);
  const [left, setLeft] = useState<readonly string[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    if (text.trim() === '') return;
    let isOver = false;
    void workOut('/api/products/read', { text }).then((answer) => {
      if (isOver) return;
      setPreview(answer.ok ? (answer.result as ProductsPreview) : null);
      setTrouble(answer.ok ? null : answer.message);
      setLeft([]);
    });
    return () => {
      isOver = true;
    };
  }, [text]);
  const names = (preview?.products ?? []).flatMap(({ name, isHere }) =>
    isHere || left.includes(name) ? [] : [name],
  );
  const take = async () => {
    const answer = await send('take-products', { text, names });
    if (!answer.ok) return setTrouble(answer.message);
    router.refresh();
    onClose();
  };
  return (
    <Sheet open onOpenChange={onClose} title={say('product.readProducts')}>
      <div className="grid gap-4">
        <p>
          {say.rich('product.filesHaveThisForm', {
            a: (words) => (
              <a className="underline" href="/schemas/products.schema.json">
                {words}
              </a>
            ),
          })}
        </p>
        <FileIn
          label={say('product.fileOfProducts')}
          accept=".json,application/json"
          longest={LONGEST}
          {...{ text, trouble }}
          onText={setText}
        />
        {preview && <Preview {...{ preview, left }} onLeave={setLeft} />}
        {preview && (
          <Button
            look="act"
            className="min-h-11 justify-self-start"
            disabled={names.length === 0}
            onClick={() => void take()}
          >
            {say('product.takeOverCount', { count: names.length })}
          </Button>
        )}
      </div>
    </Sheet>
  );
}

interface PreviewProps {
  preview: ProductsPreview;
  left: readonly string[];
  onLeave: (left: string[]) => void;
}

function Preview({ preview: { products, brings, keepsOwn }, left, onLeave }: PreviewProps) {
  const say = useWords();
  return (
    <div>
      <ul>
        {products.map(({ name, about, isHere }) => (
          <li key={name}>
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                disabled={isHere}
                checked={!isHere && !left.includes(name)}
                onChange={(event) =>
                  onLeave(event.target.checked ? left.filter((one) => one !== name) : [...left, name])
                }
              />
              <span>
                <span className="font-semibold">{name}</span>{' '}
                <span className="text-quiet">{isHere ? say('product.isHereAlready') : about}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      {brings.length > 0 && (
        <p>{say('product.brings', { names: brings.map((one) => say.named(one)).join(', ') })}</p>
      )}
      {keepsOwn.length > 0 && (
        <p>{say('product.keepsOwn', { names: keepsOwn.map((one) => say.named(one)).join(', ') })}</p>
      )}
    </div>
  );
}
