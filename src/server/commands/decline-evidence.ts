import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { command, Refusal } from './command';
import { evidenceById, insertEvidenceWord } from '../store/evidence-log';

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
    const known = await evidenceById(db, evidenceId);
    if (!known) throw new Refusal(coded('refusals.thereIsNoSuchBatchTo'), 'evidenceId');
    await insertEvidenceWord(db, { evidenceId, declined, now, personId: person.id });
    return { evidenceId };
  },
});
