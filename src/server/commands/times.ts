import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { MINUTE } from '@/core/time/local';
import { Refusal } from './command';

const DAY = 24 * 60 * MINUTE;
/** How far a tablet's clock may be ahead, ms. */
const AHEAD = MINUTE;
/** Times that the database can hold and a bakery can mean, ms. */
const BETWEEN = { first: Date.UTC(2000, 0, 1), last: Date.UTC(2200, 0, 1) };

/** A moment as a tablet sends it, epoch ms. */
export const instant = Joi.number()
  .integer()
  .min(BETWEEN.first)
  .max(BETWEEN.last)
  .messages({ '*': asText(coded('refusals.thatIsNoTime')) });

/** A day of the calendar: `2026-02-31` is none. */
export const calendarDay = Joi.string()
  .custom((text: string, helpers) => {
    const at = /^\d{4}-\d{2}-\d{2}$/.test(text) ? new Date(`${text}T00:00:00Z`) : null;
    const is = at !== null && !Number.isNaN(at.getTime()) && at.toISOString().startsWith(text);
    return is ? text : helpers.error('any.invalid');
  })
  .required()
  .messages({ '*': asText(coded('refusals.nameADaySuchAs2026')) });

/**
 * When something happened that a tablet sends: now where it says nothing.
 *
 * @param since - when it could have happened at the earliest, beside a day back: the making of a dough
 * @throws {Refusal} for what has not come yet and for what lies further back
 */
export function happenedAt(at: number | undefined, now: number, since = now): number {
  if (at === undefined) return now;
  if (at > now + AHEAD) throw new Refusal(coded('refusals.thatTimeHasNotComeYet'), 'at');
  if (at < Math.min(since, now - DAY)) throw new Refusal(coded('refusals.thatIsLongerAgoThanThis'), 'at');
  return at;
}
