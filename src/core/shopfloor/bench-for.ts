import { machinesOf, type Machine } from '../bakery/machines';
import { taskId } from '../process/step-ref';
import type { StepKind } from '../process/route';
import type { AgendaItem } from './agenda';

/** Whose work a bench shows: the whole team's, one person's, or what is done at a station. */
export type BenchFor = 'team' | 'me' | (typeof STATIONS)[number];

/** Kinds of stations where doughs are worked on or stand, and where a tablet can hang; trays and tins move with the doughs. */
export const STATIONS = ['mixer', 'bench', 'sheeter', 'proofer', 'oven'] as const;

/** Work of a station that does not hold its machine: what is brushed and loaded is done before the oven's door. */
const BESIDE: Partial<Record<BenchFor, readonly StepKind[]>> = {
  oven: ['wash', 'load', 'bake'],
  proofer: ['load'],
};

/** Somebody at the bench, and the tasks that the rota gives them. */
export interface AtBench {
  personId: number;
  duties: ReadonlySet<string>;
  machines: readonly Pick<Machine, 'id' | 'kind'>[];
}

/**
 * Tells whether a piece of work belongs on this bench. A person's is what they have begun or taken, and what the rota
 * gives them as long as nobody else has taken it.
 */
export function isFor(
  { dough, step, state }: AgendaItem,
  whose: BenchFor,
  { personId, duties, machines }: AtBench,
): boolean {
  if (whose === 'team') return true;
  if (whose === 'me') {
    const by = state.startedBy ?? state.takenBy;
    return by === null ? duties.has(taskId(dough.id, step.key)) : by === personId;
  }
  const own = new Set(machinesOf(whose, machines).map(({ id }) => id));
  return (
    step.uses.some(({ resource }) => own.has(resource)) || (BESIDE[whose] ?? []).includes(step.step.kind)
  );
}
