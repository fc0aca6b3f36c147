'use client';

import { LANGUAGE_COOKIES, type LanguageOf } from '@/words/languages';
import type { Language } from '@/words/message';
import { forgetPages } from '../live/command';

const YEAR = 365 * 24 * 3600;

/** Keeps what is read here from now on, and shows the page in it; pages that were kept for use without a line are not. */
export async function readIn(of: LanguageOf, language: Language): Promise<void> {
  document.cookie = `${LANGUAGE_COOKIES[of]}=${language}; path=/; max-age=${YEAR}; samesite=lax`;
  await forgetPages();
  location.reload();
}
