import type { Layers } from './stack';

/** Mean fat layer at the final sheet, µm: below `merged` none is left, below `fine` it eats like brioche, from `coarse` it leaks. */
export interface LayerLimits {
  merged: number;
  fine: number;
  coarse: number;
}

/** Kinds of layered goods; each means something else by good layers. */
export const LAMINATION_KINDS = ['honeycomb', 'tender', 'discs'] as const;
export type LaminationKind = (typeof LAMINATION_KINDS)[number];

export const KIND_WORDS: Record<LaminationKind, { label: string; aim: string }> = {
  honeycomb: { label: 'crescents and danish', aim: 'open honeycomb' },
  tender: { label: 'layered brioche', aim: 'tender, soft layers' },
  discs: { label: 'stacked discs', aim: 'few, plain layers' },
};

/** Thinner than meant, and still layers. */
const FINE_WORDS: Record<LaminationKind, string> = {
  honeycomb: 'fine, brioche-like',
  tender: 'very fine',
  discs: 'thinner than stacked discs are meant to be',
};

/** Where nothing else is set. Spread brioche and stacked discs are meant to lie outside a crescent's limits. */
export const USUAL_LIMITS: Record<LaminationKind, LayerLimits> = {
  honeycomb: { merged: 8, fine: 20, coarse: 120 },
  tender: { merged: 4, fine: 8, coarse: 260 },
  discs: { merged: 20, fine: 60, coarse: 900 },
};

export type LayerVerdict = 'none' | 'merged' | 'fine' | 'good' | 'coarse';

/** Judges by the mean layer, as thin and thick ones lie side by side. */
export function judgeLayers({ fatLayers, meanFat }: Layers, limits: LayerLimits): LayerVerdict {
  if (fatLayers === 0 || meanFat === 0) return 'none';
  if (meanFat < limits.merged) return 'merged';
  if (meanFat < limits.fine) return 'fine';
  return meanFat < limits.coarse ? 'good' : 'coarse';
}

/** A verdict in words a baker uses. */
export function verdictWords(verdict: LayerVerdict, kind: LaminationKind): string {
  switch (verdict) {
    case 'none':
      return 'no fat between the dough';
    case 'merged':
      return 'merged, bread-like';
    case 'fine':
      return FINE_WORDS[kind];
    case 'good':
      return KIND_WORDS[kind].aim;
    case 'coarse':
      return 'coarse, may leak';
  }
}
