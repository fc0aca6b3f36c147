import type { Coded, Words } from '@/core/codes/coded';

/** How a message begins where it has to be text on its way. */
const MARK = 'coded:';

/** A message as text, for what carries nothing else: the message of a schema, a column. It has no braces, which a schema would read. */
export const asText = (words: Coded): string => MARK + encodeURIComponent(JSON.stringify(words));

/** Words as a text: a message that is put into words when it is read, or a bakery's own words as they are. */
export const textOf = (words: Words): string => (typeof words === 'string' ? words : asText(words));

/** What was kept as a text, to be said: the message that it was made of, or words of the bakery's own. */
export const keptWords = (text: string): Words => codedIn(text) ?? text;

/** The message that was made a text; null for any other text. */
export const codedIn = (text: string): Coded | null =>
  text.startsWith(MARK) ? (JSON.parse(decodeURIComponent(text.slice(MARK.length))) as Coded) : null;
