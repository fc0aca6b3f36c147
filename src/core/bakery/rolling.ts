import type { Table } from '../lamination/gaps';
import type { Laying } from '../lamination/geometry';
import type { LaminationKind, LayerLimits } from '../lamination/kinds';

/** How the house rolls: tables, how blocks are laid out, and what it calls good layers. */
export interface RollingHouse {
  table: Table;
  laying: Laying;
  limits: Record<LaminationKind, LayerLimits>;
  /** Longest sheet on the bench where it is cut, cm. */
  benchLength: number;
  /** A tray, cm. */
  tray: readonly [length: number, width: number];
}
