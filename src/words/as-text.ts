import type { Coded } from '@/core/codes/coded';

/** How a message begins where it has to be text on its way. */
const MARK = 'coded:';

/** A message as text, for what carries nothing else: the message of a schema, a column. It has no braces, which a schema would read. */
export const asText = (words: Coded): string => MARK + encodeURIComponent(JSON.stringify(words));

/** The message that was made a text; null for any other text. */
export const codedIn = (text: string): Coded | null =>
  text.startsWith(MARK) ? (JSON.parse(decodeURIComponent(text.slice(MARK.length))) as Coded) : null;
