import type { Route } from './route';
import { type Machine, type MachineKind, machinesOf } from '../bakery/machines';

/** A product as far as it asks for machines. */
export interface ProductNeeds {
  name: string;
  routes: readonly Pick<Route, 'steps'>[];
}

/** What a bakery has, and what it lacks for its first plan. */
export interface SetUp {
  machines: number;
  people: number;
  /** People with at least one weekly shift. */
  onShifts: number;
  products: number;
  doughs: number;
  /** Kinds of machines that products hold and the bakery has none of, each with the products. */
  lacking: { kind: MachineKind; products: string[] }[];
}

/**
 * Finds the kinds of machines that products hold and a bakery does not have.
 *
 * @example
 * lackingKinds([{ name: 'Loaf', routes: [{ steps: [bakeStep] }] }], []); // [{ kind: 'oven', products: ['Loaf'] }]
 */
export function lackingKinds(
  products: readonly ProductNeeds[],
  machines: readonly Pick<Machine, 'kind'>[],
): SetUp['lacking'] {
  const lacking = new Map<MachineKind, string[]>();
  for (const { name, routes } of products) {
    const kinds = new Set(
      routes.flatMap(({ steps }) => steps.flatMap(({ holds = [] }) => holds.map(({ machine }) => machine))),
    );
    for (const kind of kinds)
      if (machinesOf(kind, machines).length === 0) lacking.set(kind, [...(lacking.get(kind) ?? []), name]);
  }
  return [...lacking].map(([kind, of]) => ({ kind, products: of }));
}
