import { coded } from '@/core/codes/coded';
import Joi from 'joi';
import { makeTabletCode as makeCode } from '../../auth/tablet-code';
import { command, Refusal } from '../command';
import { markTabletRemoved, tabletById } from '../../store/tablets';

/** A code with which one more device is let in, within some minutes. */
export const makeTabletCode = command<object, { code: string }>({
  name: 'make-tablet-code',
  toldOnce: true,
  schema: Joi.object({}),
  doughOf: () => null,
  async run({ db, person, audit }) {
    const code = await makeCode(db, person.id);
    await audit(coded('record.codeForADevice'), null, { made: true });
    return { code };
  },
});

/** Shuts a device out again; whoever is signed in there is signed out. */
export const removeTablet = command<{ id: number }, { name: string }>({
  name: 'remove-tablet',
  schema: Joi.object({ id: Joi.number().integer().positive().required() }),
  doughOf: () => null,
  async run({ db, audit }, { id }) {
    const row = await tabletById(db, id);
    if (!row) throw new Refusal(coded('refusals.thatDeviceIsShutOutAlready'), 'id');
    await markTabletRemoved(db, id);
    await audit(coded('record.device', { name: row.name }), { letIn: true }, { letIn: false });
    return row;
  },
});
