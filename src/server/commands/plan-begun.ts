import { coded } from '@/core/codes/coded';
import { stateOf } from '@/core/record/dough';
import { MINUTE } from '@/core/time/local';
import { doughsDueFrom } from '../store/doughs';
import { Refusal, type CommandContext } from './command';
import type { StepPlacement } from './plan-version';

/** Minutes for which a proposal may be read before a step of it that was to begin at once is past. */
const READING = 15;

/**
 * Refuses times that were worked out before something was recorded: hands-on steps that have begun, are done or were
 * skipped since are not moved any more, and none begins in the past.
 */
export async function refuseBegun(
  { db, now }: Pick<CommandContext, 'db' | 'now'>,
  placed: readonly StepPlacement[],
): Promise<void> {
  const doughs = new Map((await doughsDueFrom(db, now)).map((dough) => [dough.id, dough]));
  const states = new Map([...doughs].map(([id, dough]) => [id, stateOf(dough)]));
  for (const { doughId, key, start } of placed) {
    const dough = doughs.get(doughId);
    const step = dough?.steps.find((one) => one.key === key);
    const status = states.get(doughId)?.steps.get(key)?.status;
    if (!dough || !step?.step.work || start === step.plannedStart) continue;
    const what = coded('steps.ofDough', { dough: dough.name, step: { inLine: step.label } });
    if (status === 'done' || status === 'running' || status === 'skipped')
      throw new Refusal(coded('refusals.hasBeenStartedSinceWorkIt', { what }), 'id');
    if (start < now - READING * MINUTE)
      throw new Refusal(coded('refusals.wouldHaveBegunAlreadyWorkIt', { what }), 'id');
  }
}
