import type { CuttingHouse } from '@/core/cutting/dough-size';
import type { RollingHouse } from '@/core/bakery/rolling';
import type { Table } from '@/core/lamination/gaps';
import { USUAL_LAYING } from '@/core/lamination/geometry';
import { USUAL_LIMITS } from '@/core/lamination/kinds';

/** A sheeter and a bench of the usual size. */
export const TABLE: Table = {
  ...{ width: 58, length: 240, reduction: 0.4, fineReduction: 0.25, fineBelow: 8, leastGap: 1 },
};
export const CUTTING: CuttingHouse = { table: TABLE, laying: USUAL_LAYING, blockKg: 6, benchLength: 200 };
export const ROLLING: RollingHouse = {
  ...{ table: TABLE, laying: USUAL_LAYING, limits: USUAL_LIMITS },
  ...{ benchLength: CUTTING.benchLength, tray: [60, 40] },
};
