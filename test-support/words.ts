import type { Coded } from '@/core/codes/coded';
import { Fault } from '@/core/codes/fault';
import { en } from '@/words/en';
import { packedMessages, wordsIn } from '@/words/compile';
import type { Area, Language } from '@/words/message';

/** Says every message in English. */
export const say = wordsIn('en');

/** Every message there is in a language, as a screen is sent it. */
export const allMessages = (language: Language): string =>
  packedMessages(language, Object.keys(en) as Area[]);

/** The same in English. */
export const ALL_MESSAGES = allMessages('en');

const isCoded = (value: object): value is Coded => 'code' in value && 'values' in value;

/** A value of the core with all that it has to say said in English, however deep; null where there is none. */
export function inEnglish(message: Coded): string;
export function inEnglish(value: unknown): unknown;
export function inEnglish(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value ?? null;
  if (Array.isArray(value)) return value.map((one: unknown) => inEnglish(one));
  if (isCoded(value)) return say.coded(value);
  return Object.fromEntries(Object.entries(value).map(([name, own]) => [name, inEnglish(own)]));
}

/** Why something cannot be worked out, in English. */
export function faultOf(run: () => unknown): string {
  try {
    run();
  } catch (error) {
    if (error instanceof Fault) return inEnglish(error.fault);
    throw error;
  }
  throw new Error('It was worked out.');
}
