'use client';

import type { LanguageOf } from '@/words/languages';
import type { Answer } from '@/core/wire/answer';
import type { Language } from '@/words/message';
import { chooseLanguage, forgetPages } from '../live/command';

/** Keeps what is read here from now on, and shows the page in it; pages that were kept for use without a line are not. */
export async function readIn(of: LanguageOf, language: Language): Promise<Answer> {
  const answer = await chooseLanguage(of, language);
  if (!answer.ok) return answer;
  await forgetPages();
  location.reload();
  return answer;
}
