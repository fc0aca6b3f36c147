'use client';

import { useEffect, useState } from 'react';
import type { ProductDraft } from '@/core/process/product-draft';
import type { ProductTrial } from '@/core/wire/product-trial';
import { workOut } from '../live/command';

/** How long nothing is edited before it is worked out anew, ms. */
const PAUSE = 700;

type Outcome = { trial: ProductTrial } | { message: string; field: string | null };

/**
 * A batch of the product as it is being edited, planned in this bakery: worked out anew some moments after the last edit.
 * `outcome` is of an earlier edit while `isWorking`.
 *
 * @param draft - null where there is something to mend first: then nothing is asked
 */
export function useTrial(draft: ProductDraft | null, { pieces, due }: { pieces: number; due: string }) {
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const [isWorking, setWorking] = useState(false);
  useEffect(() => {
    if (!draft) return;
    let isOver = false;
    const timer = setTimeout(() => {
      setWorking(true);
      void workOut('/api/products/try', { draft, pieces, due }).then((answer) => {
        if (isOver) return;
        setWorking(false);
        setOutcome(
          answer.ok
            ? { trial: answer.result as ProductTrial }
            : { message: answer.message, field: answer.field },
        );
      });
    }, PAUSE);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [draft, pieces, due]);
  return { outcome: draft ? outcome : null, isWorking: draft !== null && isWorking };
}
