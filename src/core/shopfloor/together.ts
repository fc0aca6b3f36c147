import type { StepKind } from '../process/route';
import { MINUTE } from '../time/local';
import type { AgendaItem } from './agenda';

/** Work that goes from one tray or dough to the next in one go, with the same brush, knife or rack in the hand. */
const IN_ONE_GO: readonly StepKind[] = ['wash', 'finish', 'degas'];

/** How far apart it may be planned, minutes. */
const NEAR = 20;

/**
 * Other work that can be done in one go with this: of the same kind, planned near it, and at the same stage (both to be
 * started, or both under way by the same person). In the order of the plan.
 */
export function together(item: AgendaItem, others: readonly AgendaItem[]): AgendaItem[] {
  const { step, state } = item;
  if (!IN_ONE_GO.includes(step.step.kind)) return [];
  return others
    .filter(
      (other) =>
        (other.dough.id !== item.dough.id || other.step.key !== step.key) &&
        other.step.step.kind === step.step.kind &&
        other.state.status === state.status &&
        (state.status === 'running' ? other.state.startedBy === state.startedBy : other.state.startable) &&
        Math.abs(other.step.plannedStart - step.plannedStart) <= NEAR * MINUTE,
    )
    .sort((a, b) => a.step.plannedStart - b.step.plannedStart);
}
