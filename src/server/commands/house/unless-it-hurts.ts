import { coded } from '@/core/codes/coded';
import Joi from 'joi';
import type { PoolConnection } from 'mysql2/promise';
import { clashMessage } from '@/core/schedule/supposed';
import type { WholePlan } from '@/core/schedule/whole-plan';
import { clashes, type Clash } from '@/core/solver/clashes';
import { machinePools } from '../../store/house';
import { readWholePlan } from '../../store/whole-problem';
import { Refusal, type CommandContext } from '../command';
import { lockPlan } from '../plan-version';

/** Said once more, though the plan is hurt by it. */
export const sure = Joi.boolean().default(false);

/** Hurts that are told one by one. */
const TOLD = 3;

/** Where hands or machines are short in the plan as the house is now, from now on. */
async function shortages(db: PoolConnection, now: number): Promise<{ clashes: Clash[]; whole: WholePlan }> {
  const whole = await readWholePlan(db, now);
  const { problem, present } = whole;
  return {
    whole,
    clashes: clashes(problem, present).filter((clash) => 'resource' in clash && clash.to > problem.now),
  };
}

/** Whether a shortage was there before, as bad at least. */
function wasThere(clash: Clash, before: readonly Clash[]): boolean {
  return before.some(
    (other) =>
      'resource' in clash &&
      'resource' in other &&
      clash.resource === other.resource &&
      clash.rule === other.rule &&
      clash.from < other.to &&
      other.from < clash.to &&
      (clash.rule !== 'too-much' || (other.rule === 'too-much' && clash.over <= other.over)),
  );
}

/** Makes a change of the house; where it hurts the plan that stands, it says so first, unless somebody is sure. */
export async function unlessItHurts(
  { db, now }: CommandContext,
  isSure: boolean,
  change: () => Promise<void>,
): Promise<{ hurts: number }> {
  await lockPlan(db);
  const before = await shortages(db, now);
  await change();
  const { clashes: after, whole } = await shortages(db, now);
  const hurts = after.filter((clash) => !wasThere(clash, before.clashes));
  if (hurts.length > 0 && !isSure) {
    const machines = await machinePools(db, now, now);
    const told = hurts.slice(0, TOLD).map((clash) => clashMessage(whole, machines, clash));
    const more = hurts.length - told.length;
    throw new Refusal(coded('refusals.thePlanWouldBeHurtIt', { told: { each: told }, more }), null, {
      sure: true,
      hurts: hurts.length,
    });
  }
  return { hurts: hurts.length };
}
