import type { Allergen } from '../formula/ingredient';
import { coded, type Coded } from '../codes/coded';
import type { ScrapUse } from './events';

/** What trimmings can become, and what that takes. */
export const SCRAP_WAYS: Record<ScrapUse, { label: Coded; takes: Coded }> = {
  loaf: {
    label: coded('scrap.rolledLoaf'),
    takes: coded('scrap.keepTheLayersFlat400'),
  },
  swirls: {
    label: coded('scrap.tinSwirls'),
    takes: coded('scrap.stripsOf2CmRolled'),
  },
  share: { label: coded('scrap.intoTheNextDough'), takes: coded('scrap.chilledFlatChoppedInAt') },
  waste: { label: coded('scrap.waste'), takes: coded('scrap.weighedAllTheSameIt') },
};

/** Trimmings that wait to go into a dough. */
export interface ScrapStock {
  fromDough: number;
  name: string;
  grams: number;
  /** Hours since the sheet was cut. */
  hours: number;
  allergens: Allergen[];
}

/** How much of it this dough may take, and why not more. */
export interface ScrapOffer extends ScrapStock {
  most: number;
  refused: Coded | null;
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
          refused: coded('scrap.hOldMoreThanToo', { hours: Math.round(one.hours), mostHours }),
        };
      }
      const most = Math.min(one.grams, room);
      room -= most;
      return {
        ...one,
        most,
        refused: most > 0 ? null : coded('scrap.noMoreThanOfA', { share: Math.round(share * 100) }),
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
