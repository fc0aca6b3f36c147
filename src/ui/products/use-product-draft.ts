'use client';

import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { pieceInLists } from '@/core/exchange/first-products';
import type { PieceSpec } from '@/core/process/route';
import type { ProductDraft } from '@/core/process/product-draft';

const keyOf = (name: string) => `hefeteig-product-${name}`;

/** A draft, and the version that it was begun with. */
interface Unsaved {
  draft: ProductDraft;
  from: number | null;
}

function readUnsaved(name: string): Unsaved | null {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(name)) ?? 'null') as Partial<Unsaved> | null;
    if (!Array.isArray(kept?.draft?.dough) || !Array.isArray(kept.draft.output)) return null;
    const { draft, from } = kept as Unsaved;
    return { draft: { ...draft, piece: pieceInLists(draft.piece) as PieceSpec }, from };
  } catch {
    // A browser that keeps nothing, or something else under this name, offers nothing.
    return null;
  }
}

/**
 * A product as it is being edited: kept on this device until it is saved, and there again on return.
 * `restored`: what was found again was begun with this version, or with one that is older by now.
 *
 * @param name - what the draft is kept under: a product's number, `new`, or `like-5` for one that is begun like another
 * @param from - the version that is edited; null for a new product
 */
export function useProductDraft(
  saved: ProductDraft,
  { name, from }: { name: string; from: number | null },
  mayChange: boolean,
) {
  const [draft, setDraft] = useState(saved);
  const [begun, setBegun] = useState(from);
  const [restored, setRestored] = useState<'this' | 'older' | null>(null);
  const isChanged = draft !== saved;
  useEffect(() => {
    if (isChanged)
      localStorage.setItem(keyOf(name), JSON.stringify({ draft, from: begun } satisfies Unsaved));
  }, [isChanged, name, draft, begun]);
  useEffect(() => {
    const unsaved = mayChange ? readUnsaved(name) : null;
    if (!unsaved) return;
    // At once when the page has come to life: rows that come later would move a button from under the finger.
    queueMicrotask(() =>
      flushSync(() => {
        setDraft(unsaved.draft);
        setBegun(unsaved.from);
        setRestored(unsaved.from === from ? 'this' : 'older');
      }),
    );
  }, [mayChange, name, from]);
  const forget = () => localStorage.removeItem(keyOf(name));
  const discard = () => {
    forget();
    setDraft(saved);
    setBegun(from);
    setRestored(null);
  };
  return { draft, setDraft, isChanged, restored, discard, forget };
}
