import { randomBytes } from 'node:crypto';
import Joi from 'joi';
import { tokenHash } from '../../auth/token';
import { write } from '../../db/rows';
import { command, Refusal } from '../command';

/** A private address where a calendar program fetches the plan, or one person's work; the newest replaces the one before. */
export const makeAddress = command<{ personId: number | null }, { path: string }>({
  name: 'make-address',
  schema: Joi.object({ personId: Joi.number().integer().positive().allow(null).required() }),
  roles: ['planner', 'baker'],
  doughOf: () => null,
  async run({ db, now, person }, { personId }) {
    if (person.role !== 'planner' && personId !== person.id)
      throw new Refusal('This is somebody else’s work; a planner can give that address.', 'personId');
    const token = randomBytes(24).toString('base64url');
    await write(db, 'DELETE FROM calendar_address WHERE person_id <=> ? AND made_by = ?', [
      personId,
      person.id,
    ]);
    await write(
      db,
      'INSERT INTO calendar_address (token_hash, person_id, made_by, made_at) VALUES (?, ?, ?, ?)',
      [...[tokenHash(token), personId, person.id, new Date(now)]],
    );
    return { path: `/api/calendar/${token}` };
  },
});
