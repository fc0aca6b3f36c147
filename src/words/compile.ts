import type { CalledProduct } from '@/core/bakery/product-names';
import compile from 'icu-minify/compile';
import type { CompiledMessage } from 'icu-minify/format';
import { de } from './de';
import { en } from './en';
import { fr } from './fr';
import type { Area, Catalog, Language, Messages } from './message';
import { sayer, type Say } from './say';

const CATALOGS: Record<Language, Catalog> = { de, en, fr };

/** A message as it is set: in French a sign that stands off its word never begins a line. */
const set = (language: Language, text: string): string =>
  language === 'fr' ? text.replace(/ (?=[:;?!»])/g, '\u00a0').replace(/« /g, '«\u00a0') : text;

/** The same message in objects that a server may send to a page; the compiler's own have no prototype. */
const plain = (message: CompiledMessage): CompiledMessage =>
  JSON.parse(JSON.stringify(message)) as CompiledMessage;

/** Compiled areas, each when it is first asked for: messages never change while a process runs. */
function compiler() {
  const known = new Map<string, Messages[Area]>();
  return (language: Language, area: Area) => {
    const key = `${language} ${area}`;
    const compiled =
      known.get(key) ??
      Object.fromEntries(
        Object.entries(CATALOGS[language][area]).map(([name, text]) => [
          name,
          plain(compile(set(language, text))),
        ]),
      );
    known.set(key, compiled);
    return compiled;
  };
}
const compiledArea = compiler();

/** Texts of areas, each set written once. */
function packer() {
  const known = new Map<string, string>();
  return (language: Language, areas: readonly Area[]): string => {
    const key = `${language} ${areas.join()}`;
    const text = known.get(key) ?? JSON.stringify(messagesOf(language, areas));
    known.set(key, text);
    return text;
  };
}

/** Messages of these areas. */
const messagesOf = (language: Language, areas: readonly Area[]): Messages =>
  Object.fromEntries(areas.map((area) => [area, compiledArea(language, area)]));

/**
 * Messages of these areas as one text, as a screen is sent them: it is written and carried many times faster than as many
 * lists.
 */
export const packedMessages = packer();

/** Says every message there is: for what is put into words on the server. */
export const wordsIn = (language: Language, called: readonly CalledProduct[] = []): Say =>
  sayer(language, messagesOf(language, Object.keys(CATALOGS[language]) as Area[]), { called });
