import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { insertOnce } from '../db/rows';
import { ringing } from '../store/ringing';
import { command, Refusal } from './command';
import { clientId } from './schemas';
import { LONGEST_WORDS } from '@/core/shopfloor/handover-words';
import { happenedAt, instant } from './times';
import { alarmTakenBy, insertAlarmTaken, writerOfNote } from '../store/alarms-taken';

const alarmId = Joi.string()
  .pattern(/^[a-z-]+\/[\w./-]{1,140}$/)
  .required()
  .messages({ '*': asText(coded('refusals.thereIsNoSuchAlarm')) });

/** Says that somebody sees to an alarm, so that it is quiet for everybody. The first to say so has it. */
export const takeAlarm = command<{ alarm: string; at?: number }, { alarm: string }>({
  name: 'take-alarm',
  schema: Joi.object({ alarm: alarmId, at: instant }),
  doughOf: () => null,
  async run({ db, now, person }, { alarm, at }) {
    const when = happenedAt(at, now);
    // What was taken without a line may have become quiet since; what is taken now rings now.
    if (at === undefined && !(await ringing(db, now)).some(({ id }) => id === alarm))
      throw new Refusal(coded('refusals.thatAlarmIsNotRinging'), 'alarm');
    await insertAlarmTaken(db, { alarm, personId: person.id, at: when });
    const row = await alarmTakenBy(db, alarm);
    if (row && row.id !== person.id)
      throw new Refusal(coded('refusals.seesToThatAlready', { name: row.name }), 'alarm');
    return { alarm };
  },
});

/** Keeps what a shift says to the next. The same id again changes nothing. */
export const writeHandover = command<{ id: string; words: string; at?: number }, { recorded: boolean }>({
  name: 'write-handover',
  schema: Joi.object({
    id: clientId,
    at: instant,
    words: Joi.string()
      .trim()
      .max(LONGEST_WORDS)
      .required()
      .messages({
        'string.max': asText(coded('refusals.thatIsLongerThan2000')),
        '*': asText(coded('refusals.sayWhatTheNextShiftShould')),
      }),
  }),
  doughOf: () => null,
  async run({ db, now, person }, { id, words, at }) {
    const when = new Date(happenedAt(at, now));
    const recorded = await insertOnce(db, 'handover', {
      client_id: id,
      at: when,
      person_id: person.id,
      words,
    });
    return { recorded };
  },
});

/** Signs that somebody of the next shift has read the words of the last. */
export const signHandover = command<{ handover: number; at?: number }, { handover: number }>({
  name: 'sign-handover',
  schema: Joi.object({
    at: instant,
    handover: Joi.number()
      .integer()
      .positive()
      .required()
      .messages({ '*': asText(coded('refusals.thereIsNothingOfThatKind2')) }),
  }),
  doughOf: () => null,
  async run({ db, now, person }, { handover, at }) {
    const row = await writerOfNote(db, handover);
    if (!row) throw new Refusal(coded('refusals.thereIsNothingOfThatKind2'), 'handover');
    if (row.personId === person.id)
      throw new Refusal(coded('refusals.theseAreYourOwnWordsSomebody'), 'handover');
    const when = new Date(happenedAt(at, now));
    await insertOnce(db, 'handover_read', { handover_id: handover, person_id: person.id, at: when });
    return { handover };
  },
});
