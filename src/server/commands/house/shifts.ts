import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { clockOfDay } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { rowsOf, write } from '../../db/rows';
import { nameOf } from './names';
import { command, Refusal } from '../command';
import { sure, unlessItHurts } from './unless-it-hurts';

interface ShiftInput {
  weekday: number;
  startMinute: number;
  endMinute: number;
}

/** Longest shift that is believed, hours. */
const LONGEST_SHIFT = 14;

const minuteOfDay = Joi.number()
  .integer()
  .min(0)
  .max(1439)
  .required()
  .messages({
    '*': asText(coded('refusals.aShiftHasABeginningAnd')),
  });

/** A person's weekly shifts, all of them anew. An end before the start is on the next day. */
export const saveShifts = command<
  { personId: number; shifts: ShiftInput[]; sure: boolean },
  { hurts: number }
>({
  name: 'save-shifts',
  schema: Joi.object({
    personId: Joi.number()
      .integer()
      .positive()
      .required()
      .messages({ '*': asText(coded('refusals.nameAPerson')) }),
    shifts: Joi.array()
      .items(
        Joi.object({
          weekday: Joi.number().integer().min(1).max(7).required(),
          startMinute: minuteOfDay,
          endMinute: minuteOfDay,
        }),
      )
      .max(21)
      .required(),
    sure,
  }),
  doughOf: () => null,
  run(context, { personId, shifts, sure: isSure }) {
    const { db } = context;
    for (const { startMinute, endMinute } of shifts) {
      const minutes = (endMinute - startMinute + 1440) % 1440 || 1440;
      if (minutes > LONGEST_SHIFT * 60)
        throw new Refusal(
          coded('refusals.fromToWouldBeIntoThe', {
            clockOfDay: clockOfDay(startMinute),
            clockOfDay2: clockOfDay(endMinute),
            duration: duration(minutes),
            LONGESTSHIFT: LONGEST_SHIFT,
          }),
          'shifts',
        );
    }
    return unlessItHurts(context, isSure, async () => {
      const before = await rowsOf<ShiftInput>(
        db,
        `SELECT weekday, start_minute AS startMinute, end_minute AS endMinute FROM shift WHERE person_id = ?
         ORDER BY weekday, start_minute`,
        [personId],
      );
      const after = [...shifts].sort((a, b) => a.weekday - b.weekday || a.startMinute - b.startMinute);
      await context.audit(`shifts of ${await nameOf(db, personId)}`, before.map(spoken), after.map(spoken));
      await write(db, 'DELETE FROM shift WHERE person_id = ?', [personId]);
      if (shifts.length === 0) return;
      await write(db, 'INSERT INTO shift (person_id, weekday, start_minute, end_minute) VALUES ?', [
        shifts.map(({ weekday, startMinute, endMinute }) => [personId, weekday, startMinute, endMinute]),
      ]);
    });
  },
});

/** A shift as the audit has it: "Mon 01:00–09:00". */
const spoken = ({ weekday, startMinute, endMinute }: ShiftInput): string =>
  `${WEEKDAYS[weekday - 1] ?? ''} ${clockOfDay(startMinute)}–${clockOfDay(endMinute)}`;
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
