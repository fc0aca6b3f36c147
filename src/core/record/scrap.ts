import type { ScrapUse } from './events';

/** What trimmings can become, and what that takes. */
export const SCRAP_WAYS: Record<ScrapUse, { label: string; takes: string }> = {
  loaf: {
    label: 'rolled loaf',
    takes: 'keep the layers flat, 400 g a tin, proof and bake with the crescents',
  },
  swirls: {
    label: 'tin swirls',
    takes: 'strips of 2 cm rolled with sugar, 60 g a tin, buttered and sugared',
  },
  share: { label: 'into the next dough', takes: 'chilled flat, chopped, in at the end of mixing' },
  waste: { label: 'waste', takes: 'weighed all the same: it counts in the yield' },
};

/** Trimmings that wait to go into a dough. */
export interface ScrapStock {
  fromDough: number;
  name: string;
  grams: number;
  /** Hours since the sheet was cut. */
  hours: number;
  allergens: string[];
}

/** How much of it this dough may take, and why not more. */
export interface ScrapOffer extends ScrapStock {
  most: number;
  refused: string | null;
}

/**
 * What of the trimmings may go into a dough of `doughGrams`: all together up to the house's share of it, none that is
 * older than `mostHours`. The limit goes to the oldest first, which will not keep.
 */
export function scrapOffers(
  stock: readonly ScrapStock[],
  doughGrams: number,
  { share, mostHours, taken }: { share: number; mostHours: number; taken: number },
): ScrapOffer[] {
  let room = Math.max(0, doughGrams * share - taken);
  return [...stock]
    .sort((a, b) => b.hours - a.hours)
    .map((one) => {
      if (one.hours > mostHours) {
        return {
          ...one,
          most: 0,
          refused: `${Math.round(one.hours)} h old, more than ${mostHours} h: too sour to go on.`,
        };
      }
      const most = Math.min(one.grams, room);
      room -= most;
      return {
        ...one,
        most,
        refused: most > 0 ? null : `No more than ${Math.round(share * 100)} % of a dough.`,
      };
    });
}

/** Yield of a dough: what of it became pieces, 0 to 1; with the trimmings that were put to use, and without. */
export function doughYield(
  doughGrams: number,
  scrap: readonly { grams: number; use: ScrapUse }[],
): { pieces: number; used: number } {
  const lost = scrap.reduce((sum, { grams }) => sum + grams, 0);
  const wasted = scrap.filter(({ use }) => use === 'waste').reduce((sum, { grams }) => sum + grams, 0);
  return { pieces: Math.max(0, 1 - lost / doughGrams), used: Math.max(0, 1 - wasted / doughGrams) };
}
