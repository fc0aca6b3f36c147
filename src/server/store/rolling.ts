import type { RollingHouse } from '@/core/bakery/rolling';
import { LAMINATION_KINDS, type LaminationKind, type LayerLimits } from '@/core/lamination/kinds';
import type { Db } from '../db/rows';
import { houseValues } from './house';

/** How the house rolls, from its own values. */
export const rollingHouse = async (db: Db): Promise<RollingHouse> => rollingBy(await houseValues(db));

/** The same from values at hand. */
export function rollingBy(value: (name: string) => number): RollingHouse {
  const limits = (kind: LaminationKind): LayerLimits => ({
    merged: value(`${kind}_merged`),
    fine: value(`${kind}_fine`),
    coarse: value(`${kind}_coarse`),
  });
  return {
    table: {
      ...{ width: value('sheeter_width'), length: value('sheeter_length') },
      ...{ reduction: value('gap_reduction'), fineReduction: value('gap_reduction_fine') },
      ...{ fineBelow: value('gap_fine_below'), leastGap: value('gap_least') },
    },
    laying: {
      ...{ rim: value('butter_rim'), seam: value('butter_seam') },
      ...{ trim: value('turn_trim'), ratio: value('butter_ratio') },
    },
    limits: Object.fromEntries(
      LAMINATION_KINDS.map((kind) => [kind, limits(kind)]),
    ) as RollingHouse['limits'],
    benchLength: value('bench_length'),
    tray: [value('tray_length'), value('tray_width')],
  };
}
