import Joi from 'joi';
import { misfits } from '@/core/floor/misfit';
import { floorDough, type BoardDough } from '@/core/floor/board';
import { doughById } from '../queries/doughs';
import { command, Refusal, type CommandContext } from './command';
import { lockPlan } from './plan-version';
import { planOpenPart } from './plan-open-part';
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
  const dough = await openDough(context, id);
  if (timing(dough).length === 0) return;
  await planOpenPart(context, dough, {
    reason: `${dough.name} follows today’s temperatures`,
    nothing: `${dough.name} finds no place for its new waits amid the other doughs; move one of them, or shorten a wait by a cooler or warmer place.`,
  });
}
