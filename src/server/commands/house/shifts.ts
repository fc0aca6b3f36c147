import Joi from 'joi';
import { clockOfDay } from '@/core/time/local';
import { duration } from '@/core/units/format';
import { write } from '../../db/rows';
import { command, Refusal } from '../command';
import { sure, unlessItHurts } from './unless-it-hurts';

interface ShiftInput {
  weekday: number;
  startMinute: number;
  endMinute: number;
}

/** Longest shift that is believed, hours. */
const LONGEST_SHIFT = 14;

const minuteOfDay = Joi.number().integer().min(0).max(1439).required().messages({
  '*': 'A shift has a beginning and an end, such as 01:00 and 09:00.',
});

/** A person's weekly shifts, all of them anew. An end before the start is on the next day. */
export const saveShifts = command<
  { personId: number; shifts: ShiftInput[]; sure: boolean },
  { hurts: number }
>({
  name: 'save-shifts',
  schema: Joi.object({
    personId: Joi.number().integer().positive().required().messages({ '*': 'Name a person.' }),
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
  roles: ['planner'],
  doughOf: () => null,
  run(context, { personId, shifts, sure: isSure }) {
    const { db } = context;
    for (const { startMinute, endMinute } of shifts) {
      const minutes = (endMinute - startMinute + 1440) % 1440 || 1440;
      if (minutes > LONGEST_SHIFT * 60)
        throw new Refusal(
          `From ${clockOfDay(startMinute)} to ${clockOfDay(endMinute)} would be ${duration(minutes)}, into the next day; a shift is ${LONGEST_SHIFT} h at most. Does it end before it starts?`,
          'shifts',
        );
    }
    return unlessItHurts(context, isSure, async () => {
      await write(db, 'DELETE FROM shift WHERE person_id = ?', [personId]);
      if (shifts.length === 0) return;
      await write(db, 'INSERT INTO shift (person_id, weekday, start_minute, end_minute) VALUES ?', [
        shifts.map(({ weekday, startMinute, endMinute }) => [personId, weekday, startMinute, endMinute]),
      ]);
    });
  },
});
