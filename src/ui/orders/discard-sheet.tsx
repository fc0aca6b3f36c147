'use client';

import { useState } from 'react';
import type { Kept } from '@/core/demand/book';
import { usableAt } from '@/core/demand/stock';
import type { Instant } from '@/core/time/local';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { AmountField, amountText, useAmount } from './amount-field';
import type { StockMoveInput } from './stock-move';
import type { Answer } from '@/core/wire/answer';

const REASONS = ['pastBestBefore', 'freezerBurn', 'gotWarm', 'dropped'] as const;

/** Throws something away that was kept: how much, and why. What is past its date is offered. */
export function DiscardSheet({
  kept: { kind, name, amount, lots, productId },
  now,
  onMove,
  onClose,
}: {
  kept: Kept;
  now: Instant;
  onMove: (input: StockMoveInput) => Promise<Answer>;
  onClose: () => void;
}) {
  const say = useWords();
  const past = amount - usableAt(lots, now);
  const much = useAmount(kind, amountText(kind, past > 0 ? past : amount));
  const [why, setWhy] = useState(past > 0 ? say('orders.pastBestBefore') : '');
  const [refused, setRefused] = useState<{ field: string | null; message: string } | null>(null);
  const discard = async () => {
    if (much.value === null) return much.complain();
    const answer = await onMove({
      ...{ productId, kind, amount: -much.value, note: why, discarded: true },
    });
    if (answer.ok) onClose();
    else setRefused(answer);
  };
  return (
    <Sheet
      open
      onOpenChange={(open) => !open && onClose()}
      title={say('orders.discard', { name: say.inLine(name) })}
    >
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void discard();
        }}
      >
        <AmountField {...{ kind, much }} refused={refused?.field === 'amount' ? refused.message : null} />
        <Field
          label={say('orders.whyThrownAway')}
          value={why}
          trouble={refused && refused.field !== 'amount' ? refused.message : null}
          onType={setWhy}
        />
        <div className="flex flex-wrap gap-2">
          {REASONS.map((reason) => (
            <Button key={reason} onClick={() => setWhy(say(`orders.${reason}`))}>
              {say(`orders.${reason}`)}
            </Button>
          ))}
        </div>
        <Button type="submit" look="act" className="justify-self-start">
          {say('orders.throwAway')}
        </Button>
      </form>
    </Sheet>
  );
}
