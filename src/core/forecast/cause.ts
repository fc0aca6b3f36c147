import type { DoughRecord } from '../record/dough';
import type { StepState } from '../record/step-state';
import { MINUTE, type Instant } from '../time/local';

/**
 * What keeps a step from being as planned:
 *
 * - `overdue`: it may start, is due, and nobody has started it
 * - `late`, `early`: the step named was
 * - `look`: somebody judged the rise named
 * - `check`, `alive`: somebody wants to look again before the step named ends
 * - `place`: it stands somewhere else than planned
 * - `temperature`: a reading in the dough
 * - `yeast`: yeast was added
 * - `climate`: places are warmer or colder than when it was planned
 * - `machine`: its machine is out
 */
export type CauseCode =
  | 'overdue'
  | 'late'
  | 'early'
  | 'look'
  | 'check'
  | 'alive'
  | 'place'
  | 'temperature'
  | 'yeast'
  | 'climate'
  | 'machine';

/** Why a step is not as planned, and the step by which it came about. */
export interface Cause {
  code: CauseCode;
  key: string;
}

type Planned = DoughRecord['steps'][number];

/** Why a step does not start as planned; `from`: the step before it that decides when it can. */
export function causeOfStart(
  { key, plannedStart }: Planned,
  {
    dueAt,
    start,
    from,
    machine,
  }: { dueAt: Instant; start: Instant; from: { key: string; cause: Cause | null } | null; machine: boolean },
): Cause | null {
  if (start - dueAt >= MINUTE && start - plannedStart >= MINUTE) return { code: 'overdue', key };
  if (Math.abs(dueAt - plannedStart) < MINUTE) return null;
  if (machine) return { code: 'machine', key };
  if (!from) return null;
  return from.cause ?? { code: dueAt > plannedStart ? 'late' : 'early', key: from.key };
}

/** Why a wait does not end as planned; `inherited`: why it does not start as planned. */
export function causeOfWait(
  { step, state, start, dose }: { step: Planned; state: StepState; start: Instant; dose: number },
  { at }: { at: Instant },
  inherited: Cause | null,
): Cause | null {
  const { key, plannedStart, plannedEnd } = step;
  if (Math.abs(at - plannedEnd) < MINUTE) return null;
  const found = (code: CauseCode): Cause => ({ code, key });
  if (state.verdict && state.status === 'running') return found('look');
  if (state.notBefore !== null) return found(state.alive.length > 0 ? 'alive' : 'check');
  if (state.moved && state.status === 'running') return found('place');
  if (state.temperatures.length > 0 || state.coreProbe) return found('temperature');
  if (Math.abs(start - plannedStart) >= MINUTE)
    return inherited ?? found(start > plannedStart ? 'late' : 'early');
  return found(step.step.rise && dose !== 1 ? 'yeast' : 'climate');
}
