import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import type { Sender } from '@/core/bakery/house-book';
import { asText } from '@/words/as-text';
import { newToken } from '../../auth/token';
import { insertSender, markSenderRemoved, senderById, senderCalled } from '../../store/devices';
import { command, Refusal } from '../command';

/** Lets a gateway of probes, or a scale, send; its token is told once. */
export const makeSender = command<Pick<Sender, 'kind' | 'label'>, { token: string }>({
  name: 'make-sender',
  toldOnce: true,
  schema: Joi.object({
    kind: Joi.string().valid('probes', 'scale').required(),
    label: Joi.string()
      .trim()
      .min(1)
      .max(60)
      .required()
      .messages({ '*': asText(coded('refusals.aSenderHasANameOf')) }),
  }),
  doughOf: () => null,
  async run({ db, now, audit }, { kind, label }) {
    if (await senderCalled(db, label))
      throw new Refusal(coded('refusals.thereIsASenderCalled', { label }), 'label');
    const token = newToken();
    await insertSender(db, { id: randomUUID(), kind, label, token, at: now });
    await audit(coded('record.device', { name: label }), null, { letIn: true });
    return { token };
  },
});

/** Lets it send no more. What it has sent stays. */
export const withdrawSender = command<{ id: string }, { label: string }>({
  name: 'withdraw-sender',
  schema: Joi.object({ id: Joi.string().max(40).required() }),
  doughOf: () => null,
  async run({ db, now, audit }, { id }) {
    const known = await senderById(db, id);
    if (!known) throw new Refusal(coded('refusals.thatDeviceIsShutOutAlready'), 'id');
    await markSenderRemoved(db, id, now);
    await audit(coded('record.device', { name: known.label }), { letIn: true }, { letIn: false });
    return { label: known.label };
  },
});
