'use client';

import { useWords } from '../kit/words';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { addLocalDays, formatLocal } from '@/core/time/local';
import { Button } from '../kit/button';
import { DayTimeFields, localText } from '../kit/day-time';
import { Sheet } from '../kit/sheet';
import { send } from '../live/command';

interface Line {
  productId: string;
  pieces: string;
  day: string;
  time: string;
}

interface Trouble {
  message: string;
  field: string | null;
  again: boolean;
  earliest: number | null;
}

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onAdded: (id: number) => void;
  products: { id: number; name: string }[];
  zone: string;
  now: number;
}

const FIELD = 'min-h-11 w-full rounded border border-edge bg-ground px-2 text-lg';

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
  const dayOf = (at: number) => formatLocal(at, zone).slice(0, 10);
  const blank: Line = {
    productId: String(products[0]?.id ?? ''),
    pieces: '',
    day: dayOf(addLocalDays(now, 2, zone)),
    time: '06:30',
  };
  const [clientId] = useState(() => crypto.randomUUID());
  const [lines, setLines] = useState<Line[]>([blank]);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const [busy, setBusy] = useState(false);
  const change = (nth: number, part: Partial<Line>) =>
    setLines(lines.map((line, i) => (i === nth ? { ...line, ...part } : line)));

  const add = async ({ again = false, late = false }: { again?: boolean; late?: boolean }) => {
    setBusy(true);
    setTrouble(null);
    const outputs = lines.map(({ productId, pieces, day, time }) => ({
      productId,
      pieces: pieces.trim(),
      due: localText({ day, time }),
    }));
    const answer = await send('add-dough', {
      clientId,
      outputs,
      ...(again ? { again } : {}),
      ...(late ? { late } : {}),
    });
    setBusy(false);
    if (answer.ok) {
      onOpenChange(false);
      onAdded((answer.result as { id: number }).id);
      return;
    }
    const earliest = typeof answer.offer?.earliest === 'number' ? answer.offer.earliest : null;
    setTrouble({
      message: answer.message,
      field: answer.field,
      again: answer.offer?.again === true,
      earliest,
    });
  };
  const troubleAt = (field: string) => trouble?.field === field;
  const beside = (field: string) =>
    troubleAt(field) && (
      <p id={`trouble-${field}`} role="alert" className="mt-1 text-warn">
        {trouble?.message}
      </p>
    );
  const named = lines.some((_, i) =>
    ['productId', 'pieces', 'due'].some((part) => troubleAt(`outputs.${i}.${part}`)),
  );

  return (
    <form
      className="grid gap-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void add({});
      }}
    >
      {lines.map((line, i) => (
        <fieldset
          key={i}
          className="grid gap-x-3 gap-y-2 border-l-4 border-hairline pl-4 sm:grid-cols-[6rem_1fr]"
        >
          <legend className="sr-only">{say('plan.productOutOfThisDough', { i: i + 1 })}</legend>
          <div>
            <label className="grid gap-1 text-[15px]">
              {say('plan.pieces')}
              <input
                autoFocus={i === 0}
                inputMode="numeric"
                className={FIELD}
                value={line.pieces}
                aria-invalid={troubleAt(`outputs.${i}.pieces`)}
                onChange={(e) => change(i, { pieces: e.target.value })}
              />
            </label>
          </div>
          <div>
            <label className="grid gap-1 text-[15px]">
              {say('plan.product')}
              <select
                className={FIELD}
                value={line.productId}
                aria-invalid={troubleAt(`outputs.${i}.productId`)}
                onChange={(e) => change(i, { productId: e.target.value })}
              >
                {products.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
          </div>
          <div className="grid grid-cols-[1fr_auto] items-end gap-3 sm:col-span-2">
            <DayTimeFields
              label={say('plan.readyOn')}
              value={line}
              onChange={(value) => change(i, value)}
              from={now}
              days={15}
              zone={zone}
              faulty={troubleAt(`outputs.${i}.due`)}
            />
            <button
              type="button"
              aria-label={say('plan.leaveOutProduct', { i: i + 1 })}
              disabled={lines.length === 1}
              className="grid size-11 place-items-center rounded disabled:opacity-30"
              onClick={() => setLines(lines.filter((_, j) => j !== i))}
            >
              <Trash2 aria-hidden size={20} />
            </button>
          </div>
          <div className="sm:col-span-2">
            {beside(`outputs.${i}.pieces`)}
            {beside(`outputs.${i}.productId`)}
            {beside(`outputs.${i}.due`)}
            {troubleAt(`outputs.${i}.due`) && typeof trouble?.earliest === 'number' && (
              <div className="mt-2 flex flex-wrap gap-2">
                <Button
                  onClick={() => {
                    const ready = formatLocal(trouble.earliest ?? now, zone);
                    change(i, { day: ready.slice(0, 10), time: ready.slice(11) });
                    setTrouble(null);
                  }}
                >
                  {say('plan.takeTheEarliest')}
                </Button>
                <Button disabled={busy} onClick={() => void add({ late: true })}>
                  {say('plan.addItLateThenLook')}
                </Button>
              </div>
            )}
          </div>
        </fieldset>
      ))}
      <Button
        look="quiet"
        className="flex items-center gap-1 justify-self-start"
        onClick={() => setLines([...lines, { ...(lines.at(-1) ?? blank), pieces: '' }])}
      >
        <Plus aria-hidden size={16} />
        {say('plan.anotherProductOutOfThe')}
      </Button>
      {trouble && !named && (
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
