import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import type { SetUpFile } from '@/core/exchange/set-up-file';
import { SET_UP_PARTS, type SetUpPart } from '@/core/exchange/set-up-parts';
import { asText } from '@/words/as-text';
import { takeSetUp as take } from '../../setup/take-set-up';
import { check } from '../check';
import { command } from '../command';
import { lockPlan } from '../plan-version';
import { readJsonFile } from '../products/json-file';
import { setUpFile } from './set-up-schema';

/** Longest file of a set-up that is read, characters: a house with some sixty products. */
export const LONGEST_SET_UP = 1_000_000;

/**
 * Reads a file of a set-up.
 *
 * @throws {Refusal} where it is no such file, or a part of it cannot be read, with the line that it stands in
 */
export const readSetUpText = (text: string): SetUpFile => readJsonFile(text, (raw) => check(setUpFile, raw));

/** Takes parts of a set-up from a file over: all that was asked for, or nothing. */
export const takeSetUp = command<{ text: string; parts: SetUpPart[] }, { parts: number }>({
  name: 'take-set-up',
  schema: Joi.object({
    text: Joi.string()
      .max(LONGEST_SET_UP)
      .required()
      .messages({ '*': asText(coded('setup.fileTooLong')) }),
    parts: Joi.array()
      .items(Joi.string().valid(...SET_UP_PARTS))
      .min(1)
      .required()
      .messages({ '*': asText(coded('setup.chooseAPart')) }),
  }),
  doughOf: () => null,
  async run({ db, now, person, language, audit }, { text, parts }) {
    await lockPlan(db);
    const file = readSetUpText(text);
    await take(db, file, parts, { at: now, personId: person.id, language });
    await audit(coded('record.setUpOf', { name: file.name }), null, { taken: parts });
    return { parts: parts.length };
  },
});
