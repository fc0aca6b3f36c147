'use client';

import { useState } from 'react';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';

interface Props {
  products: readonly { id: number; name: string }[];
  onKeep: (follow: number[]) => void;
  onClose: () => void;
}

/** Which of the products that a formula makes change with it: all are ticked to begin with. */
export function FollowSheet({ products, onKeep, onClose }: Props) {
  const say = useWords();
  const [left, setLeft] = useState<readonly number[]>([]);
  return (
    <Sheet open onOpenChange={onClose} title={say('formulas.whichChangeToo')}>
      <p className="mb-2">{say('formulas.othersKeepTheirVersion')}</p>
      <ul className="mb-4">
        {products.map(({ id, name }) => (
          <li key={id}>
            <label className="flex min-h-11 items-center gap-2 text-lg">
              <input
                type="checkbox"
                className="size-5"
                checked={!left.includes(id)}
                onChange={(event) =>
                  setLeft(event.target.checked ? left.filter((one) => one !== id) : [...left, id])
                }
              />
              {say.named(name)}
            </label>
          </li>
        ))}
      </ul>
      <Button
        look="act"
        className="min-h-11"
        onClick={() => onKeep(products.map(({ id }) => id).filter((id) => !left.includes(id)))}
      >
        {say('formulas.keepForThese', { count: products.length - left.length })}
      </Button>
    </Sheet>
  );
}
