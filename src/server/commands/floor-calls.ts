import Joi from 'joi';
import { rowsOf, write } from '../db/rows';
import { command, Refusal } from './command';
import { clientId } from './schemas';
import { LONGEST_WORDS } from '@/core/floor/handover-words';
import { MINUTE } from '@/core/time/local';

const alarmId = Joi.string()
  .pattern(/^[a-z-]+\/[\w./-]{1,140}$/)
  .required()
  .messages({ '*': 'There is no such alarm.' });

/** When it was said on a tablet without a line, ms; left out, now. */
const recordedAt = Joi.number().integer().messages({ '*': 'That is no time.' });

/** A tablet's own clock does not make the future. */
function timeOf(at: number | undefined, now: number): Date {
  if (at !== undefined && at > now + MINUTE) throw new Refusal('That time has not come yet.', 'at');
  return new Date(at ?? now);
}

/** Says that somebody sees to an alarm, so that it is quiet for everybody. The first to say so has it. */
export const takeAlarm = command<{ alarm: string; at?: number }, { alarm: string }>({
  name: 'take-alarm',
  schema: Joi.object({ alarm: alarmId, at: recordedAt }),
  roles: ['baker', 'planner', 'helper'],
  doughOf: () => null,
  async run({ db, now, person }, { alarm, at }) {
    await write(db, 'INSERT IGNORE INTO alarm_taken (alarm, at, person_id) VALUES (?, ?, ?)', [
      ...[alarm, timeOf(at, now), person.id],
    ]);
    const [row] = await rowsOf<{ id: number; name: string }>(
      db,
      'SELECT p.id, p.name FROM alarm_taken a JOIN person p ON p.id = a.person_id WHERE a.alarm = ?',
      [alarm],
    );
    if (row && row.id !== person.id) throw new Refusal(`${row.name} sees to that already.`, 'alarm');
    return { alarm };
  },
});

/** Keeps what a shift says to the next. The same id again changes nothing. */
export const writeHandover = command<{ id: string; words: string; at?: number }, { recorded: boolean }>({
  name: 'write-handover',
  schema: Joi.object({
    id: clientId,
    at: recordedAt,
    words: Joi.string().trim().max(LONGEST_WORDS).required().messages({
      'string.max': 'That is longer than 2,000 characters; say it shorter.',
      '*': 'Say what the next shift should know.',
    }),
  }),
  roles: ['baker', 'planner'],
  doughOf: () => null,
  async run({ db, now, person }, { id, words, at }) {
    const { touched } = await write(
      db,
      'INSERT IGNORE INTO handover (client_id, at, person_id, words) VALUES (?, ?, ?, ?)',
      [id, timeOf(at, now), person.id, words],
    );
    return { recorded: touched === 1 };
  },
});

/** Signs that somebody of the next shift has read the words of the last. */
export const signHandover = command<{ handover: number; at?: number }, { handover: number }>({
  name: 'sign-handover',
  schema: Joi.object({
    at: recordedAt,
    handover: Joi.number()
      .integer()
      .positive()
      .required()
      .messages({ '*': 'There is nothing of that kind to sign.' }),
  }),
  roles: ['baker', 'planner'],
  doughOf: () => null,
  async run({ db, now, person }, { handover, at }) {
    const [row] = await rowsOf<{ personId: number }>(
      db,
      'SELECT person_id AS personId FROM handover WHERE id = ?',
      [handover],
    );
    if (!row) throw new Refusal('There is nothing of that kind to sign.', 'handover');
    if (row.personId === person.id)
      throw new Refusal('These are your own words; somebody of the next shift signs them.', 'handover');
    await write(db, 'INSERT IGNORE INTO handover_read (handover_id, person_id, at) VALUES (?, ?, ?)', [
      ...[handover, person.id, timeOf(at, now)],
    ]);
    return { handover };
  },
});
