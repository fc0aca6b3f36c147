import { coded } from '@/core/codes/coded';
import Joi from 'joi';
import { anyPinOn, countGuess, pinOn, wasRight } from '../../auth/guesses';
import { hashPin, knowsPin, pinFault } from '../../auth/pin';
import { endSessionsOf } from '../../auth/session';
import { pool } from '../../db/pool';
import { command, Refusal } from '../command';
import { setPin, tabletOfSession } from '../../store/people';

/** Somebody gives themselves another PIN; their sessions on other tablets end. */
export const changePin = command<{ old: string; pin: string }, null, string>({
  name: 'change-pin',
  schema: Joi.object({ old: Joi.string().max(20).required(), pin: Joi.string().max(20).required() }),
  doughOf: () => null,
  // Hashing takes its time, and a wrong guess is counted though the command is refused.
  async search({ db, person, sessionId }, { old, pin }) {
    const fault = pinFault(pin, person.role);
    if (fault) throw new Refusal(fault, 'pin');
    const row = await tabletOfSession(db, sessionId);
    const [own, shared] = [pinOn(row?.tablet ?? 0, person.id), anyPinOn(row?.tablet ?? 0)];
    const wait = await countGuess(pool(), [own, shared]);
    if (wait > 0) throw new Refusal(coded('refusals.tooManyWrongPINsTryAgain', { wait }), 'old');
    if (!(await knowsPin(db, person.id, old))) throw new Refusal(coded('refusals.thatIsNotYourPINOf'), 'old');
    await wasRight(db, own, shared);
    return hashPin(pin);
  },
  async run({ db, person, sessionId, audit }, _, hash) {
    await setPin(db, hash, person.id);
    await endSessionsOf(db, person.id, sessionId);
    await audit(coded('common.pINOf', { name: person.name }), null, { changed: true });
    return null;
  },
});
