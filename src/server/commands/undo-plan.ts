import { wordsIn } from '@/words/compile';
import { coded } from '@/core/codes/coded';
import { stateOf } from '@/core/record/dough';
import Joi from 'joi';
import type { PlanVersion } from '@/core/schedule/plan-history';
import { doughsDueFrom } from '../store/doughs';
import { planHistory } from '../store/plan-history';
import { stepsInVersion } from '../store/planned-steps';
import { house } from '../store/house';
import { command, type CommandContext, Refusal } from './command';
import { lockPlan, movePlan, type StepPlacement } from './plan-version';
import { markDoughBack, markDoughRemoved } from '../store/ordered-doughs';
import { doughOfVersion, versionBefore } from '../store/plan-versions';

const nothing = Joi.object<object>({});

/** Takes back the last planning act. What has been done on the floor meanwhile stays as it is. */
export const undoPlan = command<object, { reason: string }>({
  name: 'undo-plan',
  schema: nothing,
  doughOf: () => null,
  async run(context) {
    await lockPlan(context.db);
    const { undo } = await planHistory(context.db);
    if (!undo) throw new Refusal(coded('refusals.thereIsNothingToUndo'));
    const row = await versionBefore(context.db, undo.id);
    return again(context, undo, row?.before ?? undo.id, 'undo');
  },
});

/** Does the planning act again that was taken back last. */
export const redoPlan = command<object, { reason: string }>({
  name: 'redo-plan',
  schema: nothing,
  doughOf: () => null,
  async run(context) {
    await lockPlan(context.db);
    const { redo } = await planHistory(context.db);
    if (!redo) throw new Refusal(coded('refusals.thereIsNothingToDoAgain'));
    return again(context, redo, redo.id, 'redo');
  },
});

/** Brings the plan to how version `like` had it, for all steps that are still to come. */
async function again(
  { db, now, person, language }: CommandContext,
  act: PlanVersion,
  like: number,
  kind: 'undo' | 'redo',
): Promise<{ reason: string }> {
  const row = await doughOfVersion(db, act.id);
  if (row?.doughId && row.doughAct) {
    const out = (row.doughAct === 'added') === (kind === 'undo');
    if (out) await markDoughRemoved(db, row.doughId, { personId: person.id, now });
    else await markDoughBack(db, row.doughId);
  }
  const placed = await openSteps({ db, now }, like);
  const reason = coded(kind === 'undo' ? 'reasons.undone' : 'reasons.doneAgain', { act: act.reason });
  await movePlan(db, placed, { now, personId: person.id, reason, act: kind, ofVersion: act.id });
  return { reason: wordsIn(language).coded(act.reason) };
}

/** Steps of a version that are still to come; refuses where one of them should have begun by now. */
async function openSteps(
  { db, now }: Pick<CommandContext, 'db' | 'now'>,
  version: number,
): Promise<StepPlacement[]> {
  const doughs = new Map((await doughsDueFrom(db, now)).map((dough) => [dough.id, dough]));
  const rows = await stepsInVersion(db, version, [...doughs.keys()]);
  const states = new Map([...doughs].map(([id, dough]) => [id, stateOf(dough)]));
  const { zone } = await house(db);
  return rows.flatMap(({ doughId, key, start, end, pinned, machines }) => {
    const dough = doughs.get(doughId);
    const step = dough?.steps.find((one) => one.key === key);
    if (!dough || !step || states.get(doughId)?.steps.get(key)?.status !== 'open') return [];
    if (start < now && start !== step.plannedStart && step.step.work)
      throw new Refusal(
        coded('refusals.thatCannotBeUndoneAnyMore', {
          name: dough.name,
          label: { inLine: step.label },
          time: { dayTime: start, zone },
        }),
      );
    return [{ doughId, key, start, end, pinned, machines }];
  });
}
