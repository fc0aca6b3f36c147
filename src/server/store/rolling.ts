import type { Settings } from '@/core/bakery/settings';
import type { RollingHouse } from '@/core/bakery/rolling';
import { LAMINATION_KINDS, type LaminationKind, type LayerLimits } from '@/core/lamination/kinds';
import { houseSettings } from './house';
import { type Db } from '../db/rows';

/** How the house rolls, from its own values. */
export const rollingHouse = async (db: Db): Promise<RollingHouse> => rollingBy(await houseSettings(db));

/** The same from values at hand. */
export function rollingBy(settings: Settings): RollingHouse {
  const limits = (kind: LaminationKind): LayerLimits => ({
    merged: settings[`${kind}Merged`],
    fine: settings[`${kind}Fine`],
    coarse: settings[`${kind}Coarse`],
  });
  return {
    table: {
      ...{ width: settings.sheeterWidth, length: settings.sheeterLength },
      ...{ reduction: settings.gapReduction, fineReduction: settings.gapReductionFine },
      ...{ fineBelow: settings.gapFineBelow, leastGap: settings.gapLeast },
    },
    laying: {
      ...{ rim: settings.butterRim, seam: settings.butterSeam },
      ...{ trim: settings.turnTrim, ratio: settings.butterRatio },
    },
    limits: Object.fromEntries(
      LAMINATION_KINDS.map((kind) => [kind, limits(kind)]),
    ) as RollingHouse['limits'],
    benchLength: settings.benchLength,
    tray: [settings.trayLength, settings.trayWidth],
  };
}
