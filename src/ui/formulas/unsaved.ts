'use client';

import type { Draft } from '@/core/formula/draft';
import type { Kitchen } from '@/core/units/measures';

/** A formula as it stood in the editor when somebody left the page. */
export interface FormulaDraft {
  name: string;
  note: string;
  draft: Draft;
  kitchen: Kitchen | null;
}

const PREFIX = 'hefeteig-formula-';
const keyOf = (formulaId: number | null) => `${PREFIX}${formulaId ?? 'new'}`;

/** What was typed of a formula on this device and never saved; null where there is nothing of that kind. */
export function readUnsaved(formulaId: number | null): FormulaDraft | null {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(formulaId)) ?? 'null') as Partial<FormulaDraft> | null;
    return kept && Array.isArray(kept.draft?.stages) ? (kept as FormulaDraft) : null;
  } catch {
    // A browser that keeps nothing, or something else under this name, offers nothing.
    return null;
  }
}

/** Keeps what is typed on this device; null forgets it. */
export function keepUnsaved(formulaId: number | null, unsaved: FormulaDraft | null): void {
  if (unsaved) localStorage.setItem(keyOf(formulaId), JSON.stringify(unsaved));
  else localStorage.removeItem(keyOf(formulaId));
}

/** Formulas that lie on this device as drafts, the one that is new first. */
export function allUnsaved(): { formulaId: number | null; name: string }[] {
  const ids = Object.keys(localStorage)
    .filter((key) => key.startsWith(PREFIX))
    .map((key) => (key === keyOf(null) ? null : Number(key.slice(PREFIX.length))));
  return ids
    .sort((a, b) => (a ?? 0) - (b ?? 0))
    .flatMap((formulaId) => {
      const kept = readUnsaved(formulaId);
      return kept ? [{ formulaId, name: kept.name }] : [];
    });
}
