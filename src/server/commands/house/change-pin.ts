import { coded } from '@/core/codes/coded';
import Joi from 'joi';
import { anyPinOn, countGuess, pinOn, wasRight } from '../../auth/guesses';
import { hashPin, knowsPin, pinFault } from '../../auth/pin';
import { endSessionsOf } from '../../auth/session';
import { pool } from '../../db/pool';
import { rowsOf, write } from '../../db/rows';
import { command, Refusal } from '../command';

/** Somebody gives themselves another PIN; their sessions on other tablets end. */
export const changePin = command<{ old: string; pin: string }, null, string>({
  name: 'change-pin',
  schema: Joi.object({ old: Joi.string().max(20).required(), pin: Joi.string().max(20).required() }),
  doughOf: () => null,
  // Hashing takes its time, and a wrong guess is counted though the command is refused.
  async search({ db, person, sessionId }, { old, pin }) {
    const fault = pinFault(pin, person.role);
    if (fault) throw new Refusal(fault, 'pin');
    const [row] = await rowsOf<{ tablet: number }>(
      db,
      'SELECT tablet_id AS tablet FROM session WHERE id = ?',
      [sessionId],
    );
    const [own, shared] = [pinOn(row?.tablet ?? 0, person.id), anyPinOn(row?.tablet ?? 0)];
    const wait = await countGuess(pool(), [own, shared]);
    if (wait > 0) throw new Refusal(coded('refusals.tooManyWrongPINsTryAgain', { wait }), 'old');
    if (!(await knowsPin(db, person.id, old))) throw new Refusal(coded('refusals.thatIsNotYourPINOf'), 'old');
    await wasRight(db, own, shared);
    return hashPin(pin);
  },
  async run({ db, person, sessionId, audit }, _, hash) {
    await write(db, 'UPDATE person SET pin_hash = ?, pin_peppered = TRUE WHERE id = ?', [hash, person.id]);
    await endSessionsOf(db, person.id, sessionId);
    await audit(`PIN of ${person.name}`, null, { changed: true });
    return null;
  },
});
