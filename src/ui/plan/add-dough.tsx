'use client';

import { Plus } from 'lucide-react';
import { goesToStock } from '@/core/process/output-way';
import { PROOF_SCHOOLS } from '@/core/process/proof-school';
import { Button } from '../kit/button';
import { Choice } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { OutputFields } from './output-fields';
import { type AddingDough, type Plannable, useAdding } from './use-adding';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onAdded: (id: number) => void;
  products: Plannable[];
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
      {lines.some(({ way }) => !goesToStock(way)) && <SchoolChoice adding={adding} />}
      <LeftOut {...{ adding, products }} />
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

/** How the pieces of this dough are proofed, where that is another way than the product's. */
function SchoolChoice({ adding }: { adding: AddingDough }) {
  const say = useWords();
  return (
    <Choice
      label={say('plan.proof')}
      value={adding.school ?? ''}
      options={[
        { id: '', name: say('plan.proofAsUsual') },
        ...PROOF_SCHOOLS.map((id) => ({
          id,
          name: say('common.proofOf', { school: id.replaceAll('-', '_') }),
        })),
      ]}
      onChoose={(id) => adding.setSchool(PROOF_SCHOOLS.find((one) => one === id) ?? null)}
    />
  );
}

/** Steps that this dough may be made without; nothing where its products have none. */
function LeftOut({ adding, products }: { adding: AddingDough; products: readonly Plannable[] }) {
  const say = useWords();
  const { lines, without, leaveOut } = adding;
  const chosen = products.filter(({ id }) => lines.some((line) => line.productId === String(id)));
  const steps = new Map(chosen.flatMap(({ optional }) => optional.map((step) => [step.id, step] as const)));
  if (steps.size === 0) return null;
  return (
    <fieldset>
      <legend className="text-[15px]">{say('plan.leaveOut')}</legend>
      <div className="flex flex-wrap gap-x-4">
        {[...steps.values()].map(({ id, label }) => (
          <label key={id} className="flex min-h-9 items-center gap-1.5">
            <input
              type="checkbox"
              className="size-5"
              checked={without.includes(id)}
              onChange={() => leaveOut(id)}
            />
            {say.coded(label)}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
