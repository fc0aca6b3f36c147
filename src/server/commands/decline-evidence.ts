import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { rowsOf, write } from '../db/rows';
import { command, Refusal } from './command';

/** Leaves a piece of evidence out of what the house has learnt, or takes it in again. */
export const declineEvidence = command<{ evidenceId: number; declined: boolean }, { evidenceId: number }>({
  name: 'decline-evidence',
  schema: Joi.object({
    evidenceId: Joi.number()
      .integer()
      .positive()
      .required()
      .messages({ '*': asText(coded('refusals.sayWhichBatch')) }),
    declined: Joi.boolean().required(),
  }),
  doughOf: () => null,
  async run({ db, person, now }, { evidenceId, declined }) {
    const [known] = await rowsOf<{ id: number }>(db, 'SELECT id FROM evidence WHERE id = ?', [evidenceId]);
    if (!known) throw new Refusal(coded('refusals.thereIsNoSuchBatchTo'), 'evidenceId');
    await write(db, 'INSERT INTO evidence_word (evidence_id, declined, at, person_id) VALUES (?, ?, ?, ?)', [
      ...[evidenceId, declined, new Date(now), person.id],
    ]);
    return { evidenceId };
  },
});
