import type { Settings } from '@/core/bakery/settings';
import type { Machine } from '@/core/bakery/machines';
import { longestBench, type RollingHouse, tableOf } from '@/core/bakery/rolling';
import { LAMINATION_KINDS, type LaminationKind, type LayerLimits } from '@/core/lamination/kinds';
import { houseSettings, machines } from './house';
import { type Db } from '../db/rows';

/** How the house rolls, by its sheeters and benches and its own values. */
export async function rollingHouse(db: Db): Promise<RollingHouse> {
  const [settings, own] = await Promise.all([houseSettings(db), machines(db)]);
  return rollingBy(settings, own);
}

/** The same from values and machines at hand. */
export function rollingBy(settings: Settings, own: readonly Machine[]): RollingHouse {
  const limits = (kind: LaminationKind): LayerLimits => ({
    merged: settings[`${kind}Merged`],
    fine: settings[`${kind}Fine`],
    coarse: settings[`${kind}Coarse`],
  });
  return {
    table: tableOf(own, {
      ...{ width: settings.sheeterWidth, length: settings.sheeterLength },
      ...{ reduction: settings.gapReduction, fineReduction: settings.gapReductionFine },
      ...{ fineBelow: settings.gapFineBelow, leastGap: settings.gapLeast },
    }),
    laying: {
      ...{ rim: settings.butterRim, seam: settings.butterSeam },
      ...{ trim: settings.turnTrim, ratio: settings.butterRatio },
    },
    limits: Object.fromEntries(
      LAMINATION_KINDS.map((kind) => [kind, limits(kind)]),
    ) as RollingHouse['limits'],
    benchLength: longestBench(own, settings.benchLength),
    tray: [settings.trayLength, settings.trayWidth],
  };
}
