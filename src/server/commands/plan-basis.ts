import { coded } from '@/core/codes/coded';
import { asText, keptWords } from '@/words/as-text';
import Joi from 'joi';
import { type Db } from '../db/rows';
import { newestPlan } from '../store/planned-steps';
import { house } from '../store/house';
import { Refusal } from './command';
import { plansSince } from '../store/plan-versions';

/** The plan version that somebody had before them. */
export const basis = Joi.number()
  .integer()
  .min(0)
  .required()
  .messages({ '*': asText(coded('refusals.thePageLostTheNumberOf')) });

/** Refuses what was made for a plan that is no longer the newest, and says what has happened to it since. */
export async function refuseOldBasis(db: Db, seen: number): Promise<void> {
  const newest = await newestPlan(db);
  if (newest === seen) return;
  const since = await plansSince(db, seen);
  const { zone } = await house(db);
  const told = since.map(({ reason, name, at }) =>
    coded('reasons.byWhom', { reason: keptWords(reason), name, time: { dayTime: at.getTime(), zone } }),
  );
  throw new Refusal(coded('refusals.thePlanHasChangedSinceNothing', { told: { each: told } }), 'basis', {
    newest,
  });
}
