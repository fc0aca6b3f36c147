import Joi from 'joi';
import { misfits } from '@/core/floor/misfit';
import { openPart } from '@/core/floor/open-part';
import { floorDough, type BoardDough } from '@/core/floor/board';
import { planProblem, taskId } from '@/core/route/problem';
import { MINUTE } from '@/core/time/local';
import { planInThread } from '../planner';
import { doughById } from '../queries/doughs';
import { houseValues } from '../queries/house';
import { command, Refusal, type CommandContext } from './command';
import { lockPlan, movePlan } from './plan-dough';
import { doughFrame } from './planning-frame';
import { doughId } from './schemas';

/** Rounds in which plan and windows may chase one another before it is said that they do not settle. */
const ROUNDS = 5;

/**
 * Plans what is left of a dough anew, amid all others, which keep their places: its waits are no longer what they were
 * when it was planned. Late is better than wrong: promises are kept where they can be.
 */
export const followDough = command<{ doughId: number }, { name: string; settled: boolean; moved: number }>({
  name: 'follow-dough',
  schema: Joi.object({ doughId }),
  roles: ['planner', 'baker'],
  doughOf: (input) => input.doughId,
  async run(context, input) {
    await lockPlan(context.db);
    const before = await openDough(context, input.doughId);
    for (let round = 0; round < ROUNDS; round++) await mend(context, input.doughId);
    const after = await openDough(context, input.doughId);
    const moved = after.steps.filter((step) => {
      const was = before.steps.find(({ key }) => key === step.key);
      return was?.plannedStart !== step.plannedStart || was.plannedEnd !== step.plannedEnd;
    });
    return { name: after.name, settled: timing(after).length === 0, moved: moved.length };
  },
});

/** Misfits that another time can mend; a wait in vain is not one of them. */
const timing = (dough: BoardDough) => misfits(floorDough(dough)).filter(({ by }) => by !== 0);

async function openDough({ db }: CommandContext, id: number) {
  const dough = await doughById(db, id);
  if (!dough) throw new Refusal('This dough is not in the plan any more.', 'doughId');
  return dough;
}

/** One round: nothing where the windows of the dough hold its plan already. */
async function mend(context: CommandContext, id: number): Promise<void> {
  const { db, now, person } = context;
  const dough = await openDough(context, id);
  if (timing(dough).length === 0) return;
  // From the day of its first event, so that what began yesterday can be pinned where it began.
  const from = Math.min(now, ...dough.events.map(({ at }) => at));
  const { origin, minute, frame, standing } = await doughFrame(db, dough, { now, from });
  const { expanded, pins } = openPart(dough, now, minute);
  const promises = dough.outputs.map(({ id: outputId, dueAt, freshFor }) => ({
    outputId,
    due: Math.max(0, minute(dueAt)),
    freshFor,
  }));
  const problem = planProblem(frame, [{ id, expanded, promises }], standing);
  problem.pins.push(...pins);
  const solution = await planInThread(problem, (await houseValues(db))('plan_seconds'));
  if (solution?.plan.status !== 'feasible') {
    throw new Refusal(
      `${dough.name} finds no place for its new waits amid the other doughs; move one of them, or shorten a wait by a cooler or warmer place.`,
      'doughId',
    );
  }
  const { times } = solution.plan;
  const moved = expanded.steps.map(({ key }) => {
    const [start, end] = times[taskId(id, key)] ?? [0, 0];
    return { key, start: origin + start * MINUTE, end: origin + end * MINUTE };
  });
  await movePlan(db, id, moved, {
    now,
    personId: person.id,
    reason: `${dough.name} follows today’s temperatures`,
  });
}
