'use client';

import { Plus } from 'lucide-react';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { OutputFields } from './output-fields';
import { useAdding } from './use-adding';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onAdded: (id: number) => void;
  products: { id: number; name: string }[];
  zone: string;
  now: number;
}

/** What must be ready when: products out of one dough, pieces, day and time. Faults stand beside their field. */
export function AddDough(props: Props) {
  const say = useWords();
  return (
    <Sheet open={props.open} onOpenChange={props.onOpenChange} title={say('plan.addDough')}>
      <AddDoughForm {...props} />
    </Sheet>
  );
}

function AddDoughForm({ onOpenChange, onAdded, products, zone, now }: Props) {
  const say = useWords();
  const adding = useAdding({
    first: String(products[0]?.id ?? ''),
    zone,
    now,
    onAdded: (id) => {
      onOpenChange(false);
      onAdded(id);
    },
  });
  const { lines, trouble, busy, add, troubleAt } = adding;
  const isNamed = lines.some((_, i) =>
    (['productId', 'pieces', 'due'] as const).some((part) => troubleAt(i, part)),
  );
  return (
    <form
      className="grid gap-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      {lines.map((line, nth) => (
        <OutputFields key={nth} {...{ adding, nth, line, products, zone, now }} />
      ))}
      <Button look="quiet" className="flex items-center gap-1 justify-self-start" onClick={adding.more}>
        <Plus aria-hidden size={16} />
        {say('plan.anotherProductOutOfThe')}
      </Button>
      {trouble && !isNamed && (
        <p role="alert" className="text-lg text-warn">
          {trouble.message}
        </p>
      )}
      <div className="flex justify-end gap-3">
        {trouble?.again && (
          <Button disabled={busy} onClick={() => void add({ again: true })}>
            {say('plan.addOnceMore')}
          </Button>
        )}
        <Button type="submit" look="act" floor disabled={busy}>
          {busy ? say('common.findingItsPlace') : say('plan.addDough')}
        </Button>
      </div>
    </form>
  );
}
