'use client';

import { useState } from 'react';
import type { StockKind } from '@/core/process/output-way';
import { METRIC } from '@/core/units/reader';
import { readMeasure } from '@/core/units/measure';
import { Field } from '../kit/field';
import { MeasureField } from '../kit/measure-field';
import { useWords } from '../kit/words';

/** An amount as it is typed: pieces as a number, dough with its unit. */
export const amountText = (kind: StockKind, amount: number): string =>
  kind === 'pieces' ? String(amount) : `${amount} g`;

/** An amount of stock that somebody types: whole pieces or grams above 0, or null. */
export function useAmount(kind: StockKind, first: string) {
  const [text, setText] = useState(first);
  const [isTried, setTried] = useState(false);
  const read =
    kind === 'pieces'
      ? /^\d+$/.test(text.trim())
        ? Number(text)
        : NaN
      : Math.round(readMeasure('grams', text, METRIC));
  const value = read > 0 ? read : null;
  return {
    ...{ text, value, isWrong: isTried && value === null },
    type: (next: string) => {
      setText(next);
      setTried(false);
    },
    complain: () => setTried(true),
  };
}

/** The field for it. */
export function AmountField({
  kind,
  much,
  refused = null,
}: {
  kind: StockKind;
  much: ReturnType<typeof useAmount>;
  refused?: string | null;
}) {
  const say = useWords();
  const trouble = much.isWrong ? say(kind === 'pieces' ? 'orders.wholePieces' : 'orders.aWeight') : refused;
  return kind === 'pieces' ? (
    <Field
      label={say('orders.pieces')}
      value={much.text}
      inputMode="numeric"
      trouble={trouble}
      onType={much.type}
    />
  ) : (
    <MeasureField
      kind="grams"
      label={say('orders.weight')}
      text={much.text}
      trouble={trouble}
      onText={much.type}
    />
  );
}
