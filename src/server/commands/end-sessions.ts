import Joi from 'joi';
import { write } from '../db/rows';
import { command, Refusal } from './command';

/** Ends all sessions of somebody, on every tablet: a lost one, or one that somebody forgot to leave. */
export const endSessions = command<{ personId: number }, null>({
  name: 'end-sessions',
  schema: Joi.object({ personId: Joi.number().integer().positive().required() }),
  roles: ['planner'],
  doughOf: () => null,
  async run({ db }, { personId }) {
    const { touched } = await write(db, 'UPDATE person SET session_epoch = session_epoch + 1 WHERE id = ?', [
      personId,
    ]);
    if (touched === 0) throw new Refusal('Nobody of that number works here.', 'personId');
    return null;
  },
});
