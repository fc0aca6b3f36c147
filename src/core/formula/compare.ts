import type { Formula, StageKind } from './formula';

/** One ingredient of a stage in two versions; null where a version is without it. */
export interface ComparedLine {
  stage: StageKind;
  ingredient: string;
  before: number | null;
  after: number | null;
}

/** Two versions side by side, in the order of the newer one; what it dropped stands at the end of its stage. */
export function compareFormulas(before: Formula, after: Formula): ComparedLine[] {
  const kinds = [...new Set([...after.stages, ...before.stages].map(({ kind }) => kind))];
  return kinds.flatMap((stage) => {
    const [old, now] = [sums(before, stage), sums(after, stage)];
    return [...new Set([...now.keys(), ...old.keys()])].map((ingredient) => ({
      ...{ stage, ingredient },
      before: old.get(ingredient) ?? null,
      after: now.get(ingredient) ?? null,
    }));
  });
}

/** Percent of each ingredient in a stage, summed where it comes twice. */
function sums(formula: Formula, stage: StageKind): Map<string, number> {
  const sums = new Map<string, number>();
  for (const { kind, lines } of formula.stages) {
    if (kind !== stage) continue;
    for (const { ingredient, percent } of lines) sums.set(ingredient, (sums.get(ingredient) ?? 0) + percent);
  }
  return sums;
}
