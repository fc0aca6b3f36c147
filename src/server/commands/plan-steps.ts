import { coded, type Words } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { withoutPin } from '@/core/solver/suppose';
import { WhatIf } from '@/core/solver/what-if';
import type { Pin, PlanProblem } from '@/core/solver/problem';
import { taskId } from '@/core/process/step-ref';
import { MINUTE } from '@/core/time/local';
import type { ProposalBody } from '@/core/schedule/proposal';
import { stepOf } from '@/core/schedule/supposed';
import type { WholePlan } from '@/core/schedule/whole-plan';
import { houseSettings } from '../store/house';
import { readWholePlan } from '../store/whole-problem';
import { holdsWindows, replan, type ReplanResult } from '../replan';
import { searching } from '../searching';
import { command, Refusal, type SearchContext } from './command';
import { basis, refuseOldBasis } from './plan-basis';
import { lockBasis, lockPlan, movePlan, readBasis, type Basis, type StepPlacement } from './plan-version';
import { doughId } from './schemas';
import { instant } from './times';

const stepKey = Joi.string()
  .max(80)
  .required()
  .messages({ '*': asText(coded('refusals.nameAStepOfThePlan')) });

interface Move {
  doughId: number;
  key: string;
  start: number;
  /** The rest of the dough is taken along by as much. */
  whole: boolean;
  basis: number;
}

interface MoveResult {
  seen: Basis;
  label: Words;
  dough: string;
  placed: StepPlacement[];
  /** When it starts then, epoch ms. */
  start: number;
  zone: string;
}

/** Fixes a step at another time; its dough follows, and the others make way where they must. */
export const moveStep = command<Move, { label: Words; moved: number; start: number }, MoveResult>({
  name: 'move-step',
  schema: Joi.object({
    doughId,
    key: stepKey,
    start: instant.required().messages({ '*': asText(coded('refusals.whenShouldItStart')) }),
    whole: Joi.boolean().default(false),
    basis,
  }),
  doughOf: (input) => input.doughId,
  async search(context, input) {
    const { db, now } = context;
    const seen = await readBasis(db);
    await refuseOldBasis(db, input.basis);
    const whole = await readWholePlan(db, now);
    const { id, label, dough } = openStep(whole, input);
    const { origin, zone } = whole;
    const start = Math.round((input.start - origin) / MINUTE);
    const { placed, at } = await placedBy(context, whole, { task: id, start, whole: input.whole });
    return { seen, label, dough, placed, start: origin + at * MINUTE, zone };
  },
  async run({ db, now, person }, input, { seen, label, dough, placed, start, zone }) {
    await lockPlan(db);
    await refuseOldBasis(db, input.basis);
    await lockBasis(
      db,
      seen,
      placed.map((one) => one.doughId),
    );
    await movePlan(
      db,
      placed.map((p) => (p.doughId === input.doughId && p.key === input.key ? { ...p, pinned: true } : p)),
      {
        now,
        personId: person.id,
        reason: coded('reasons.stepMovedTo', { dough, step: label, time: { dayTime: start, zone } }),
      },
    );
    return { label, moved: placed.length, start };
  },
});

function openStep({ doughs, problem }: WholePlan, { doughId: of, key }: Pick<Move, 'doughId' | 'key'>) {
  const dough = doughs.find((one) => one.id === of);
  const step = dough?.steps.find((one) => one.key === key);
  const id = taskId(of, key);
  if (!dough || !step || !problem.tasks.some((task) => task.id === id))
    throw new Refusal(coded('refusals.thatStepIsDoneOrNo'), 'key');
  return { id, label: step.label, dough: dough.name };
}

/** Times for a pinned step: as they were shown while it was dragged, or with others moved where it got in their way. */
async function placedBy(
  context: SearchContext,
  whole: WholePlan,
  { task, start, whole: all }: { task: string; start: number; whole: boolean },
): Promise<{ placed: StepPlacement[]; at: number }> {
  const { db, now } = context;
  const { problem, present, hands, origin } = whole;
  const settings = await houseSettings(db);
  const supposed = new WhatIf(withoutPin(problem, task), present, hands, settings.stayCost).move(
    task,
    start,
    all,
  );
  if (!supposed)
    throw new Refusal(
      coded('refusals.thereIsNoPlaceForIt', { time: { dayTime: origin + start * MINUTE, zone: whole.zone } }),
      'start',
    );
  if (supposed.breaks.length === 0 && (await holdsWindows(db, now, whole, supposed.moved))) {
    const body: Pick<ProposalBody, 'times'> = { times: [] };
    for (const [id, [from, to]] of Object.entries(supposed.moved)) {
      const ref = whole.refs.get(id);
      if (ref) body.times.push([ref.dough, { [ref.step]: [origin + from * MINUTE, origin + to * MINUTE] }]);
    }
    return { placed: placedOf(body), at: supposed.start };
  }
  const replanned = await searching(context, () =>
    replan(db, now, {
      seconds: settings.planSeconds,
      change: (wanted) => withPin(wanted, { task, start: supposed.start }),
    }),
  );
  return { placed: placedOf(planOf(replanned)), at: supposed.start };
}

function withPin(problem: PlanProblem, pin: Pin): PlanProblem {
  return { ...problem, pins: [...problem.pins.filter(({ task }) => task !== pin.task), pin] };
}

/** The plan of a replanning, or a refusal in a sentence. */
export function planOf(replanned: ReplanResult): ProposalBody {
  if (replanned.kind === 'plan') return replanned.body;
  const { conflict, whole } = replanned;
  const labels = conflict.slice(0, 4).flatMap((id) => {
    const found = stepOf(whole, id);
    return found ? [coded('steps.ofDough', { dough: found.dough.name, step: found.step.label })] : [];
  });
  throw new Refusal(
    labels.length > 0
      ? coded('refusals.thisCannotBeFittedInTogether', { labels })
      : coded('refusals.noPlanWasFoundInThe'),
  );
}

/** The rows of a proposed plan. */
export function placedOf({ times }: Pick<ProposalBody, 'times'>): StepPlacement[] {
  return times.flatMap(([of, steps]) =>
    Object.entries(steps).map(([key, [start, end, machines]]) => {
      return { doughId: of, key, start, end, ...(machines ? { machines } : {}) };
    }),
  );
}

/** Fixes a step where it is, or lets it go again. */
export const pinStep = command<Omit<Move, 'start' | 'whole'> & { pinned: boolean }, { label: Words }>({
  name: 'pin-step',
  schema: Joi.object({ doughId, key: stepKey, pinned: Joi.boolean().required(), basis }),
  doughOf: (input) => input.doughId,
  async run({ db, now, person }, input) {
    await lockPlan(db);
    await refuseOldBasis(db, input.basis);
    const whole = await readWholePlan(db, now);
    const { label, dough } = openStep(whole, input);
    const step = whole.doughs
      .find(({ id }) => id === input.doughId)
      ?.steps.find(({ key }) => key === input.key);
    const { key, pinned } = input;
    const [start, end] = [step?.plannedStart ?? now, step?.plannedEnd ?? now];
    await movePlan(db, [{ doughId: input.doughId, key, start, end, pinned }], {
      ...{ now, personId: person.id },
      reason: coded('reasons.stepFixedOrLetGo', { dough, step: label, isFixed: pinned }),
    });
    return { label };
  },
});
