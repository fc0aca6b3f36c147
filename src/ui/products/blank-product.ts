import type { Words } from '@/core/codes/coded';
import type { OwnKind } from '@/core/process/new-step';
import type { ProductDraft } from '@/core/process/product-draft';
import { addStep, type Thread } from '@/core/process/threads';
import { newStep } from '@/core/process/named-step';

const DOUGH: readonly OwnKind[] = ['mix', 'bulk', 'divide'];
const PIECES: readonly OwnKind[] = ['shape', 'proof', 'load', 'bake', 'cool', 'finish'];

/** A product to begin with: the shortest way that a yeasted piece can go, to be changed from there. */
export function blankProduct(say: (words: Words) => string): ProductDraft {
  const line = (kinds: readonly OwnKind[]): Thread[] =>
    kinds.reduceRight<Thread[]>(
      (threads, kind) => addStep(threads, null, newStep(kind, threads, say)),
      [{ steps: [], joins: null }],
    );
  return {
    ...{ name: '', doughName: '', formulaId: null, schemeId: null, freshFor: 240 },
    piece: { grams: 60, perTray: 15, scrap: 0.02, tolerance: 2 },
    rises: {
      bulk: { yeast: 'bakers', celsius: 24, minutes: 60, early: 0.7, late: 1.25 },
      proof: { yeast: 'bakers', celsius: 26, minutes: 110, early: 0.8, late: 1.25 },
    },
    ...{ dough: line(DOUGH), output: line(PIECES), fork: { min: 0, max: 30 } },
  };
}
