import type { MessageKey, Value } from './message';
import type { Say } from './say';

/** What is to be said, before anybody knows in which language: a message and its values, which may be wordings too. */
export interface Wording {
  key: MessageKey;
  values: Readonly<Record<string, Value | Wording>>;
}

/** Makes a wording. */
export const wording = (key: MessageKey, values: Wording['values'] = {}): Wording => ({ key, values });

/** Says a wording, and the wordings in it. */
export function spoken(say: Say, { key, values }: Wording): string {
  const said = Object.entries(values).map(([name, value]): [string, Value] => {
    return [name, typeof value === 'object' ? spoken(say, value) : value];
  });
  return say(key, Object.fromEntries(said));
}

/** How a wording begins where it has to be text on its way. */
const MARK = 'wording:';

/** A wording as text, for what carries nothing else: the message of a schema. It has no braces, which a schema would read. */
export const told = (words: Wording): string => MARK + encodeURIComponent(JSON.stringify(words));

/** The wording that was told as text; null for any other text. */
export const wordingIn = (text: string): Wording | null =>
  text.startsWith(MARK) ? (JSON.parse(decodeURIComponent(text.slice(MARK.length))) as Wording) : null;
