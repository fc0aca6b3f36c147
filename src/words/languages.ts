import type { Language } from './message';

/** What each language calls itself. */
export const LANGUAGE_NAMES: Record<Language, string> = { de: 'Deutsch', en: 'English', fr: 'Français' };

/** Where a browser keeps what whoever is signed in reads, and what the tablet or wall itself does. */
export const LANGUAGE_COOKIES = { person: 'hefeteig-reads', tablet: 'hefeteig-language' } as const;
export type LanguageOf = keyof typeof LANGUAGE_COOKIES;
export const LANGUAGES_OF = Object.keys(LANGUAGE_COOKIES) as LanguageOf[];
