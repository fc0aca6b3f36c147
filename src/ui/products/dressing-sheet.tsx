'use client';

import { useState } from 'react';
import type { PieceSpec } from '@/core/process/route';
import type { MessageKey } from '@/words/message';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';
import { FormSheet } from './form-sheet';
import { beginParts, newPart, PART_KINDS, type PartKind, type PartText, withParts } from './part-form';
import { PartFields } from './part-fields';
import type { Named } from './product-head';

const TITLES: Record<PartKind, MessageKey> = {
  ...{ fillings: 'product.fillings', washes: 'product.washes', toppings: 'product.toppings' },
};
const ADD: Record<PartKind, MessageKey> = {
  ...{ fillings: 'product.addFilling', washes: 'product.addWash', toppings: 'product.addTopping' },
};

interface Props {
  piece: PieceSpec;
  formulas: readonly Named[];
  onKeep: (piece: PieceSpec) => void;
  onClose: () => void;
}

/** What goes into and onto a piece: as many fillings, washes and toppings as it has, each in its order. */
export function DressingSheet({ piece, formulas, onKeep, onClose }: Props) {
  const say = useWords();
  const [parts, setParts] = useState<PartText[]>(() => beginParts(piece));
  const [isTried, setTried] = useState(false);
  const add = (kind: PartKind) =>
    setParts([...parts, newPart(kind, 1 + Math.max(-1, ...parts.map(({ key }) => key)))]);
  const keep = () => {
    const made = withParts(piece, parts);
    if (made) onKeep(made);
    else setTried(true);
  };
  return (
    <FormSheet title={say('product.fillingAndTop')} className="grid gap-4" onKeep={keep} onClose={onClose}>
      {PART_KINDS.map((kind) => (
        <section key={kind} aria-label={say(TITLES[kind])} className="border-t border-edge pt-1">
          <div className="flex items-baseline justify-between gap-2">
            <h3 className="font-bold">{say(TITLES[kind])}</h3>
            <Button onClick={() => add(kind)}>{say(ADD[kind])}</Button>
          </div>
          {parts
            .filter((part) => part.kind === kind)
            .map((part, i) => (
              <PartFields
                key={part.key}
                {...{ part, formulas, isTried, nth: i + 1 }}
                onChange={(change) =>
                  setParts(parts.map((one) => (one.key === part.key ? { ...one, ...change } : one)))
                }
                onDrop={() => setParts(parts.filter(({ key }) => key !== part.key))}
              />
            ))}
        </section>
      ))}
    </FormSheet>
  );
}
