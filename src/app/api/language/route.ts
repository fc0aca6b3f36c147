import Joi from 'joi';
import { check } from '@/server/commands/check';
import { unbroken } from '@/server/door';
import { jsonBody } from '@/server/http';
import { readsHere } from '@/server/reader';
import { LANGUAGES_OF, type LanguageOf } from '@/words/languages';
import { LANGUAGES, type Language } from '@/words/message';

const schema = Joi.object<{ of: LanguageOf; language: Language }>({
  of: Joi.string()
    .valid(...LANGUAGES_OF)
    .required(),
  language: Joi.string()
    .valid(...LANGUAGES)
    .required(),
});

/** Chooses what is read at this browser: anybody may, signed in or not. */
export function PUT(request: Request): Promise<Response> {
  return unbroken(request, async () => {
    const { of, language } = check(schema, await jsonBody(request));
    await readsHere(of, language);
    return { ok: true, result: null };
  });
}
