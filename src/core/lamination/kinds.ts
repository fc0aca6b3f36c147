import { coded, type Coded } from '../codes/coded';
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

export const KIND_WORDS: Record<LaminationKind, { label: Coded; aim: Coded }> = {
  honeycomb: { label: coded('lamination.crescentsAndDanish'), aim: coded('lamination.openHoneycomb') },
  tender: { label: coded('lamination.layeredBrioche'), aim: coded('lamination.tenderSoftLayers') },
  discs: { label: coded('lamination.stackedDiscs'), aim: coded('lamination.fewPlainLayers') },
};

/** Thinner than meant, and still layers. */
const FINE_WORDS: Record<LaminationKind, Coded> = {
  honeycomb: coded('lamination.fineBriocheLike'),
  tender: coded('lamination.veryFine'),
  discs: coded('lamination.thinnerThanStackedDiscs'),
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
export function verdictMessage(verdict: LayerVerdict, kind: LaminationKind): Coded {
  switch (verdict) {
    case 'none':
      return coded('lamination.noFatBetweenTheDough');
    case 'merged':
      return coded('lamination.mergedBreadLike');
    case 'fine':
      return FINE_WORDS[kind];
    case 'good':
      return KIND_WORDS[kind].aim;
    case 'coarse':
      return coded('lamination.coarseMayLeak');
  }
}
