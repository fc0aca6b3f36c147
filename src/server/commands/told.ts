import Joi from 'joi';
import type { Told } from '@/core/demand/short';
import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import { removeTold, writeTold } from '../store/customers-told';
import { command } from './command';
import { calendarDay, instant } from './times';

interface ToldInput extends Pick<Told, 'source' | 'missing' | 'late' | 'lateUntil'> {
  /** False: they were not told after all. */
  told: boolean;
}

const pieces = Joi.number().integer().min(0).max(100_000).required();

/** Ticks off that a customer was told of an order that goes short, and of what. */
export const markTold = command<ToldInput, null>({
  name: 'mark-told',
  schema: Joi.object<ToldInput>({
    source: Joi.object({
      kind: Joi.string().valid('standing', 'single').required(),
      id: Joi.number().integer().positive().required(),
      day: calendarDay,
    })
      .required()
      .messages({ '*': asText(coded('refusals.nameAnOrder')) }),
    missing: pieces.messages({ '*': asText(coded('refusals.piecesAreAWholeNumberFrom')) }),
    late: pieces.messages({ '*': asText(coded('refusals.piecesAreAWholeNumberFrom')) }),
    lateUntil: instant.allow(null).required(),
    told: Joi.boolean().default(true),
  }),
  doughOf: () => null,
  async run({ db, now, person }, { source, told, ...what }) {
    if (told) await writeTold(db, source, { ...what, at: now, personId: person.id });
    else await removeTold(db, source);
    return null;
  },
});
