import type { Coded } from '@/core/codes/coded';
import type { Db } from '../../db/rows';
import { coded } from '@/core/codes/coded';
import Joi from 'joi';
import { newToken } from '../../auth/token';
import { nameOf } from './names';
import { command, Refusal } from '../command';
import { addressById, insertAddress, removeAddress, removeAddressesOf } from '../../store/calendar-addresses';

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
    await removeAddressesOf(db, personId, person.id);
    await insertAddress(db, { token, personId, madeBy: person.id, now });
    await audit(await addressSubject(db, personId), null, { made: true });
    return { path: `/api/calendar/${token}` };
  },
});

/** Takes a calendar address back: whoever knows it reads nothing by it any more. */
export const withdrawAddress = command<{ id: number }, null>({
  name: 'withdraw-address',
  schema: Joi.object({ id: Joi.number().integer().positive().required() }),
  doughOf: () => null,
  async run({ db, person, audit }, { id }) {
    const row = await addressById(db, id);
    if (!row) throw new Refusal(coded('refusals.thatAddressIsWithdrawnAlready'), 'id');
    if (person.role !== 'planner' && ![row.personId, row.madeBy].includes(person.id))
      throw new Refusal(coded('refusals.thisIsSomebodyElseSAddress'), 'id');
    await removeAddress(db, id);
    await audit(await addressSubject(db, row.personId), { made: true }, null);
    return null;
  },
});

const addressSubject = async (db: Db, personId: number | null): Promise<Coded> =>
  personId === null
    ? coded('record.addressOfThePlan')
    : coded('record.addressOf', { name: await nameOf(db, personId) });
