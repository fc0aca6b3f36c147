import { coded } from '@/core/codes/coded';
import Joi from 'joi';
import { newToken, tokenHash } from '../../auth/token';
import { rowsOf, write } from '../../db/rows';
import { nameOf } from './names';
import { command, Refusal } from '../command';

/** A private address where a calendar program fetches the plan, or one person's work; the newest replaces the one before. */
export const makeAddress = command<{ personId: number | null }, { path: string }>({
  name: 'make-address',
  toldOnce: true,
  schema: Joi.object({ personId: Joi.number().integer().positive().allow(null).required() }),
  doughOf: () => null,
  async run({ db, now, person, audit }, { personId }) {
    if (person.role !== 'planner' && personId !== person.id)
      throw new Refusal(coded('refusals.thisIsSomebodyElseSWork'), 'personId');
    const token = newToken();
    await write(db, 'DELETE FROM calendar_address WHERE person_id <=> ? AND made_by = ?', [
      personId,
      person.id,
    ]);
    await write(
      db,
      'INSERT INTO calendar_address (token_hash, person_id, made_by, made_at) VALUES (?, ?, ?, ?)',
      [...[tokenHash(token), personId, person.id, new Date(now)]],
    );
    await audit(`calendar address of ${personId === null ? 'the plan' : await nameOf(db, personId)}`, null, {
      made: true,
    });
    return { path: `/api/calendar/${token}` };
  },
});

/** Takes a calendar address back: whoever knows it reads nothing by it any more. */
export const withdrawAddress = command<{ id: number }, null>({
  name: 'withdraw-address',
  schema: Joi.object({ id: Joi.number().integer().positive().required() }),
  doughOf: () => null,
  async run({ db, person, audit }, { id }) {
    const [row] = await rowsOf<{ personId: number | null; madeBy: number }>(
      db,
      'SELECT person_id AS personId, made_by AS madeBy FROM calendar_address WHERE id = ? FOR UPDATE',
      [id],
    );
    if (!row) throw new Refusal(coded('refusals.thatAddressIsWithdrawnAlready'), 'id');
    if (person.role !== 'planner' && ![row.personId, row.madeBy].includes(person.id))
      throw new Refusal(coded('refusals.thisIsSomebodyElseSAddress'), 'id');
    await write(db, 'DELETE FROM calendar_address WHERE id = ?', [id]);
    const of = row.personId === null ? 'the plan' : await nameOf(db, row.personId);
    await audit(`calendar address of ${of}`, { made: true }, null);
    return null;
  },
});
