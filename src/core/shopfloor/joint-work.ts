import type { StepKind } from '../process/route';
import { cutsShort } from '../forecast/early';
import { MINUTE, type Instant } from '../time/local';
import type { AgendaItem } from './agenda';

/** Work that goes from one tray or dough to the next in one go, with the same brush, knife or rack in the hand. */
const IN_ONE_GO: readonly StepKind[] = ['wash', 'finish', 'degas'];

/** How far apart it may be due, minutes. */
const NEAR = 20;

/**
 * Other work that can be done in one go with this: of the same kind, due near it, and at the same stage (both to be
 * started, or both under way by the same person). In the order of the plan.
 */
export function jointWork(item: AgendaItem, others: readonly AgendaItem[], now: Instant): AgendaItem[] {
  const { step, state } = item;
  if (!IN_ONE_GO.includes(step.step.kind) || !isReady(item, now)) return [];
  return others
    .filter(
      (other) =>
        (other.dough.id !== item.dough.id || other.step.key !== step.key) &&
        other.step.step.kind === step.step.kind &&
        other.state.status === state.status &&
        isReady(other, now) &&
        (state.status === 'running' ? other.state.startedBy === state.startedBy : other.state.startable) &&
        Math.abs(other.step.dueAt - step.dueAt) <= NEAR * MINUTE,
    )
    .sort((a, b) => a.step.dueAt - b.step.dueAt);
}

/** What is to be started is offered only where its waits allow it: work done together is ready together. */
const isReady = ({ dough, step, state }: AgendaItem, now: Instant): boolean =>
  state.status === 'running' || cutsShort(dough, step, now) === null;
