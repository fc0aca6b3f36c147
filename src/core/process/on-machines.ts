import {
  machinesOf,
  MACHINE_KINDS,
  placeOf,
  type Equipment,
  type Machine,
  type MachineKind,
} from '../bakery/machines';
import type { Use } from '../solver/problem';
import { CREW, type DoughStep, type ExpandedDough } from './expand';

/** Machines that a step is on, by their ids: those that somebody planned or recorded. */
export type ChosenMachines = readonly string[];

const NONE: ChosenMachines = [];

/**
 * Puts a dough's steps on the machines of a bakery. Expanded, a step asks for kinds (an oven, a mixer); here each use gets a
 * machine of that kind, with those that would do as well, and the step the place whose temperature it has there.
 *
 * A step is on the machine that `chosen` names; otherwise on the first that takes it, or the one that comes closest where none
 * does.
 * What the bakery has no machine for holds nothing. A use of a kind may name the machines that it can be on, the preferred
 * one first.
 *
 * @param chosen - ids of machines that a step is on, by the step's key
 */
export function onMachines(
  dough: ExpandedDough,
  equipment: Equipment,
  chosen: (key: string) => ChosenMachines = () => NONE,
): ExpandedDough {
  const steps = dough.steps.map((step) => stepOn(step, chosen(step.key), equipment, dough.bowlKg));
  return { ...dough, steps };
}

/** The same step on other machines: each of its uses that has a choice takes the one of `ids` that is among it. */
export function movedTo<Step extends DoughStep>(step: Step, ids: ChosenMachines, equipment: Equipment): Step {
  const uses = step.uses.map((use): Use => {
    const id = ids.find((one) => use.among?.includes(one));
    return id === undefined ? use : { ...use, resource: id };
  });
  return withPlace({ ...step, uses }, equipment);
}

/**
 * Ids of the machines that a step is on where it has a choice; empty where it has none.
 *
 * @param chosen - a machine for each of its uses, as a plan chose them; as they are where nothing is said
 */
export const choicesOf = ({ uses }: Pick<DoughStep, 'uses'>, chosen?: readonly string[]): string[] =>
  uses.flatMap(({ resource, among }, i) => (among ? [chosen?.[i] ?? resource] : []));

/** The mixer that a dough is mixed in; undefined where nothing of it is mixed. */
export function mixerOf(steps: readonly Pick<DoughStep, 'step' | 'uses'>[]): string | undefined {
  const mix = steps.find(({ step }) => step.kind === 'mix');
  return mix?.uses.find(({ resource }) => resource !== CREW)?.resource;
}

const isKind = (id: string): id is MachineKind => (MACHINE_KINDS as readonly string[]).includes(id);

function stepOn(step: DoughStep, ids: ChosenMachines, equipment: Equipment, bowlKg: number): DoughStep {
  const kg = step.step.kind === 'mix' ? bowlKg : null;
  const uses = step.uses.flatMap((use): Use[] => {
    if (!isKind(use.resource)) return [use];
    const { among: only = [], ...plain } = use;
    const machines = allowed(machinesOf(use.resource, equipment.machines), only);
    const fitting = machines.filter((machine) => takes(machine, use.amount, kg));
    const named = machines.find(({ id }) => ids.includes(id));
    const machine = named ?? fitting[0] ?? closestTo(kg, machines);
    if (!machine) return [];
    const among = [...new Set([...fitting, machine].map(({ id }) => id))];
    return [{ ...plain, resource: machine.id, ...(among.length > 1 ? { among } : {}) }];
  });
  return withPlace({ ...step, uses }, equipment);
}

/** Those of some machines that a step may be on, the preferred first; all where none of them is there any more. */
function allowed(machines: readonly Machine[], only: readonly string[]): readonly Machine[] {
  const own = only.flatMap((id) => machines.filter((machine) => machine.id === id));
  return own.length > 0 ? own : machines;
}

function takes({ capacity, kgLeast, kgAtOnce }: Machine, amount: number, kg: number | null): boolean {
  return amount <= capacity && (kg === null || ((kgLeast ?? 0) <= kg && kg <= (kgAtOnce ?? Infinity)));
}

/** The machine that so much dough is least beside the limits of; the largest where it is not a matter of weight. */
function closestTo(kg: number | null, machines: readonly Machine[]): Machine | undefined {
  const beside = ({ kgLeast, kgAtOnce }: Machine) =>
    kg === null ? 0 : Math.max((kgLeast ?? 0) - kg, kg - (kgAtOnce ?? Infinity), 0);
  return [...machines].sort((a, b) => beside(a) - beside(b) || b.capacity - a.capacity)[0];
}

/** Says whose temperature a step has: that of the machine it is in, or that of the first place of its kind. */
function withPlace<Step extends DoughStep>(step: Step, { machines, places }: Equipment): Step {
  const kind = step.step.place;
  if (kind === undefined) return step;
  const inside = step.uses.flatMap(({ resource }) => machines.find(({ id }) => id === resource)?.place ?? []);
  const place = (kind === 'room' ? undefined : inside[0]) ?? placeOf(kind, places);
  return place === undefined ? step : { ...step, place };
}
