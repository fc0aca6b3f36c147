import Joi from 'joi';
import { LANGUAGES, type Language } from '@/words/message';
import { setLanguage } from '../../store/people';
import { command } from '../command';

/** Somebody says what they read, on every tablet. */
export const chooseLanguage = command<{ language: Language }, null>({
  name: 'choose-language',
  schema: Joi.object({
    language: Joi.string()
      .valid(...LANGUAGES)
      .required(),
  }),
  doughOf: () => null,
  apart: true,
  async run({ db, person }, { language }) {
    await setLanguage(db, person.id, language);
    return null;
  },
});
