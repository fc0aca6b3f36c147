'use client';

import { useEffect, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import type { Formula } from '@/core/formula/formula';
import type { IngredientBook } from '@/core/formula/ingredient';
import { draftOf, type Draft } from '@/core/formula/draft';
import type { Kitchen } from '@/core/units/measures';
import { useWords } from '../kit/words';
import { newDraft } from './rows';
import { keepUnsaved, readUnsaved } from './unsaved';

/** A kept version of a formula that is edited. */
export interface EditedVersion {
  id: number;
  formulaId: number;
  name: string;
  version: number;
  formula: Formula;
}

/** A formula as it is being typed: kept on this device until it is saved, and there again on return. */
export function useDraft(version: EditedVersion | null, book: IngredientBook, mayChange: boolean) {
  const say = useWords();
  const saved = useMemo(
    () => (version ? draftOf(version.formula, book) : newDraft(say)),
    [version, book, say],
  );
  const [draft, setDraft] = useState<Draft>(saved);
  const [name, setName] = useState(version?.name ?? '');
  const [note, setNote] = useState('');
  // A formula is read in the cups that it was typed in, whoever reads it.
  const [kitchen, setKitchen] = useState<Kitchen | null>(version?.formula.kitchen ?? null);
  const [restored, setRestored] = useState(false);
  const formulaId = version?.formulaId ?? null;
  const changed = draft !== saved || name !== (version?.name ?? '') || note !== '';
  useEffect(() => {
    if (changed) keepUnsaved(formulaId, { name, note, draft, kitchen });
  }, [changed, formulaId, name, note, draft, kitchen]);
  useEffect(() => {
    const unsaved = mayChange ? readUnsaved(formulaId) : null;
    if (!unsaved) return;
    // Once the page has come to life: the house's computer, which made it, has nothing unsaved.
    // At once, and not when there is time: rows that come later would move a button from under the finger.
    queueMicrotask(() =>
      flushSync(() => {
        setDraft(unsaved.draft);
        setName(unsaved.name);
        setNote(unsaved.note);
        setKitchen(unsaved.kitchen);
        setRestored(true);
      }),
    );
  }, [mayChange, formulaId]);
  const discard = () => {
    keepUnsaved(formulaId, null);
    setDraft(saved);
    setName(version?.name ?? '');
    setNote('');
    setKitchen(version?.formula.kitchen ?? null);
    setRestored(false);
  };
  return {
    ...{ draft, setDraft, name, setName, note, setNote, kitchen, setKitchen },
    ...{ restored, discard, isSaved: () => keepUnsaved(formulaId, null) },
  };
}

export type DraftInHand = ReturnType<typeof useDraft>;
