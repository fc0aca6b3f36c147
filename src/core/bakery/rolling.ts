import type { Table } from '../lamination/gaps';
import type { Laying } from '../lamination/geometry';
import type { LaminationKind, LayerLimits } from '../lamination/kinds';
import type { Machine, MachineDetails } from './machines';

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

type Rolling = Pick<Machine, 'kind' | 'details'>;

const measures = (machines: readonly Rolling[], of: 'width' | 'length' | 'leastGap' | 'reduction') =>
  machines.flatMap(({ details }: { details?: MachineDetails }) => details?.[of] ?? []);

/**
 * The table that every dough must fit: that of the sheeters, or of the benches where there is no sheeter and a pin is used. Of
 * several, the smallest counts, since a plan may choose any of them. What no machine tells is as the house has it.
 */
export function tableOf(machines: readonly Rolling[], house: Table): Table {
  const sheeters = machines.filter(({ kind }) => kind === 'sheeter');
  const rolled = sheeters.length > 0 ? sheeters : machines.filter(({ kind }) => kind === 'bench');
  const least = (of: 'width' | 'length' | 'reduction') =>
    Math.min(...measures(rolled, of), ...(measures(rolled, of).length === rolled.length ? [] : [house[of]]));
  const reduction = rolled.length > 0 ? least('reduction') : house.reduction;
  return {
    ...house,
    width: rolled.length > 0 ? least('width') : house.width,
    length: rolled.length > 0 ? least('length') : house.length,
    reduction,
    fineReduction: Math.min(house.fineReduction, reduction),
    leastGap: Math.max(
      0,
      ...(measures(sheeters, 'leastGap').length > 0 ? measures(sheeters, 'leastGap') : [house.leastGap]),
    ),
  };
}

/** The longest sheet that can be cut, cm: on the longest bench, or as the house has it where no bench tells. */
export function longestBench(machines: readonly Rolling[], house: number): number {
  const benches = measures(
    machines.filter(({ kind }) => kind === 'bench'),
    'length',
  );
  return benches.length > 0 ? Math.max(...benches) : house;
}
