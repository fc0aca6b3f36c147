import { coded } from '@/core/codes/coded';
import Joi from 'joi';
import { endSessionsOf } from '../auth/session';
import { command } from './command';
import { nameOf } from './house/names';

/** Ends all sessions of somebody, on every tablet: a lost one, or one that somebody forgot to leave. */
export const endSessions = command<{ personId: number }, { ended: number }>({
  name: 'end-sessions',
  schema: Joi.object({ personId: Joi.number().integer().positive().required() }),
  doughOf: () => null,
  async run({ db, audit }, { personId }) {
    const name = await nameOf(db, personId);
    const ended = await endSessionsOf(db, personId);
    await audit(coded('record.sessionsOf', { name }), { open: ended }, { open: 0 });
    return { ended };
  },
});
