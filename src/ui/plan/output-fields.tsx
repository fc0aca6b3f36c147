'use client';

import { Trash2 } from 'lucide-react';
import { goesToStock, OUTPUT_WAYS } from '@/core/process/output-way';
import { Button } from '../kit/button';
import { Choice } from '../kit/field';
import { DayTimeFields } from '../kit/day-time';
import { useWords } from '../kit/words';
import type { AddingDough, OutputDraft } from './use-adding';

const FIELD = 'min-h-11 w-full rounded border border-edge bg-ground px-2 text-lg';

interface Props {
  adding: AddingDough;
  nth: number;
  line: OutputDraft;
  products: { id: number; name: string }[];
  zone: string;
  now: number;
}

/** One product out of the new dough: how many, of what, ready when. */
export function OutputFields({ adding, nth, line, products, zone, now }: Props) {
  const say = useWords();
  const { change, troubleAt } = adding;
  return (
    <fieldset className="grid gap-x-3 gap-y-2 border-l-4 border-hairline pl-4 sm:grid-cols-[6rem_1fr]">
      <legend className="sr-only">{say('plan.productOutOfThisDough', { i: nth + 1 })}</legend>
      <label className="grid content-start gap-1 text-[15px]">
        {say('plan.pieces')}
        <input
          autoFocus={nth === 0}
          inputMode="numeric"
          className={FIELD}
          value={line.pieces}
          aria-invalid={troubleAt(nth, 'pieces') !== null}
          onChange={(e) => change(nth, { pieces: e.target.value })}
        />
      </label>
      <label className="grid content-start gap-1 text-[15px]">
        {say('plan.product')}
        <select
          className={FIELD}
          value={line.productId}
          aria-invalid={troubleAt(nth, 'productId') !== null}
          onChange={(e) => change(nth, { productId: e.target.value })}
        >
          {products.map(({ id, name }) => (
            <option key={id} value={id}>
              {say.named(name)}
            </option>
          ))}
        </select>
      </label>
      <div className="sm:col-span-2">
        <Choice
          label={say('plan.way')}
          value={line.way}
          options={OUTPUT_WAYS.map((id) => ({
            id,
            name: say('plan.wayOfPieces', { way: id.replaceAll('-', '_') }),
          }))}
          onChoose={(id) => change(nth, { way: OUTPUT_WAYS.find((way) => way === id) ?? 'fresh' })}
        />
      </div>
      <div className="grid grid-cols-[1fr_auto] items-end gap-3 sm:col-span-2">
        <DayTimeFields
          label={say(goesToStock(line.way) ? 'plan.putAwayBy' : 'plan.readyOn')}
          value={line}
          onChange={(value) => change(nth, value)}
          from={now}
          days={15}
          zone={zone}
          faulty={troubleAt(nth, 'due') !== null}
        />
        <button
          type="button"
          aria-label={say('plan.leaveOutProduct', { i: nth + 1 })}
          disabled={adding.lines.length === 1}
          className="grid size-11 place-items-center rounded disabled:opacity-30"
          onClick={() => adding.drop(nth)}
        >
          <Trash2 aria-hidden size={20} />
        </button>
      </div>
      <OutputTrouble adding={adding} nth={nth} />
    </fieldset>
  );
}

/** What was refused of this product, and what can be done where its time is too soon. */
function OutputTrouble({ adding, nth }: Pick<Props, 'adding' | 'nth'>) {
  const say = useWords();
  const tooSoon = adding.troubleAt(nth, 'due');
  return (
    <div className="sm:col-span-2">
      {(['pieces', 'productId', 'due'] as const).map((part) => {
        const trouble = adding.troubleAt(nth, part);
        return (
          trouble && (
            <p key={part} role="alert" className="mt-1 text-warn">
              {trouble.message}
            </p>
          )
        );
      })}
      {tooSoon && tooSoon.earliest !== null && (
        <div className="mt-2 flex flex-wrap gap-2">
          <Button onClick={() => adding.takeEarliest(nth)}>{say('plan.takeTheEarliest')}</Button>
          <Button disabled={adding.busy} onClick={() => void adding.add({ late: true })}>
            {say('plan.addItLateThenLook')}
          </Button>
        </div>
      )}
    </div>
  );
}
