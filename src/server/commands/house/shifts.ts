import { wordsIn } from '@/words/compile';
import type { Language } from '@/words/message';
import { weekdays } from '@/words/weekdays';
import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { clockOfDay } from '@/core/time/local';
import { nameOf } from './names';
import { command, Refusal } from '../command';
import { sure, unlessItHurts } from './unless-it-hurts';
import { insertShifts, removeShifts, shiftsOf, type WeeklyShift } from '../../store/shifts';

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
  { personId: number; shifts: WeeklyShift[]; sure: boolean },
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
    const { db, language } = context;
    for (const { startMinute, endMinute } of shifts) {
      const minutes = (endMinute - startMinute + 1440) % 1440 || 1440;
      if (minutes > LONGEST_SHIFT * 60)
        throw new Refusal(
          coded('refusals.fromToWouldBeIntoThe', {
            clockOfDay: clockOfDay(startMinute),
            clockOfDay2: clockOfDay(endMinute),
            duration: { minutes },
            LONGESTSHIFT: LONGEST_SHIFT,
          }),
          'shifts',
        );
    }
    return unlessItHurts(context, isSure, async () => {
      const before = await shiftsOf(db, personId);
      const after = [...shifts].sort((a, b) => a.weekday - b.weekday || a.startMinute - b.startMinute);
      await context.audit(
        coded('record.shiftsOf', { name: await nameOf(db, personId) }),
        before.map((shift) => inWords(language, shift)),
        after.map((shift) => inWords(language, shift)),
      );
      await removeShifts(db, personId);
      if (shifts.length === 0) return;
      await insertShifts(db, shifts, personId);
    });
  },
});

/** A shift as the record has it: "Mon 01:00–09:00". */
const inWords = (language: Language, { weekday, startMinute, endMinute }: WeeklyShift): string =>
  wordsIn(language)('record.shift', {
    day: weekdays(language, 'short')[weekday - 1] ?? '',
    from: clockOfDay(startMinute),
    to: clockOfDay(endMinute),
  });
