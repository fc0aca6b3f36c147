import type { Network, Times } from './network';
import type { State } from './state';

/** Costs beyond a project's least for which windows are kept; beyond the last, only the widest are of use. */
const ALLOWANCES = [0, 12, 25, 50, 100, 200, 400, 800, 1600];

/**
 * Each set of linked steps as if it had all resources to itself but for what is fixed: what it costs at least, and where
 * its blocks can be when it is to cost little more. A plan cannot cost less than all these together.
 */
export class Relaxed {
  /** Least cost of each component, in the order of the network's. */
  readonly least: readonly number[];
  /** Least cost of any plan. */
  readonly bound: number;

  private constructor(
    private readonly network: Network,
    fixed: number,
    least: readonly number[],
    private readonly levels: readonly Times[],
  ) {
    this.least = least;
    this.bound = least.reduce((sum, cost) => sum + cost, fixed);
  }

  /** Null where a component has no place even alone: then there is no plan. The state has to be empty. */
  static of(state: State): Relaxed | null {
    const { network } = state;
    if (state.overload > 0) return null;
    const { from, to } = network.windows;
    const levels = ALLOWANCES.map(() => ({ from: from.slice(), to: to.slice() }));
    const least: number[] = [];
    for (const members of network.components) {
      const cost = state.relax(members, ALLOWANCES, levels);
      if (cost === null) return null;
      least.push(cost);
    }
    return new Relaxed(network, state.cost, least, levels);
  }

  /** How much more than their least the components of these blocks cost now. */
  excess(state: State, blocks: Iterable<number>): number {
    const components = new Set<number>();
    for (const b of blocks) components.add(state.componentOf[b] as number);
    let sum = 0;
    for (const c of components) sum += this.excessOf(state, c);
    return sum;
  }

  excessOf(state: State, component: number): number {
    return (state.costOf[component] as number) - (this.least[component] as number);
  }

  /** Windows outside of which a component costs more than its least and this allowance. */
  within(allowance: number): Times {
    return this.levels[ALLOWANCES.findIndex((a) => a >= allowance)] ?? this.network.windows;
  }
}
