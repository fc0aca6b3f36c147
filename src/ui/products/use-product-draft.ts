'use client';

import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import type { ProductDraft } from '@/core/process/product-draft';

const keyOf = (productId: number | null) => `hefeteig-product-${productId ?? 'new'}`;

function readUnsaved(productId: number | null): ProductDraft | null {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(productId)) ?? 'null') as Partial<ProductDraft> | null;
    return kept && Array.isArray(kept.dough) && Array.isArray(kept.output) ? (kept as ProductDraft) : null;
  } catch {
    // A browser that keeps nothing, or something else under this name, offers nothing.
    return null;
  }
}

/** A product as it is being edited: kept on this device until it is saved, and there again on return. */
export function useProductDraft(saved: ProductDraft, productId: number | null, mayChange: boolean) {
  const [draft, setDraft] = useState(saved);
  const [isRestored, setRestored] = useState(false);
  const isChanged = draft !== saved;
  useEffect(() => {
    if (isChanged) localStorage.setItem(keyOf(productId), JSON.stringify(draft));
  }, [isChanged, productId, draft]);
  useEffect(() => {
    const unsaved = mayChange ? readUnsaved(productId) : null;
    if (!unsaved) return;
    // At once when the page has come to life: rows that come later would move a button from under the finger.
    queueMicrotask(() =>
      flushSync(() => {
        setDraft(unsaved);
        setRestored(true);
      }),
    );
  }, [mayChange, productId]);
  const forget = () => localStorage.removeItem(keyOf(productId));
  const discard = () => {
    forget();
    setDraft(saved);
    setRestored(false);
  };
  return { draft, setDraft, isChanged, isRestored, discard, forget };
}
