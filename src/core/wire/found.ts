/** What can be looked for by its name, in the order in which equally good matches are listed. */
export const FOUND_KINDS = [
  ...['page', 'dough', 'batch', 'product', 'formula', 'person', 'customer'],
] as const;
export type FoundKind = (typeof FOUND_KINDS)[number];

/** Something with a name that the house can show. */
export interface Findable {
  kind: FoundKind;
  name: string;
  /** What tells it from others of that name: products of a dough, a person's team. */
  detail: string;
  /** Other names that it is found by, such as those in other languages; left out where there are none. */
  also?: string;
  /** The page that shows it. */
  href: string;
  /** When it was or will be ready, ms; null where that says nothing of it. */
  at: number | null;
}

/** Most that one look lists, of all and of one kind: many batches of a name leave room for its product. */
const LISTED = 14;
const OF_A_KIND = 6;
/** A batch this much further from now than another is listed after it, ms. */
const DAY = 24 * 3_600_000;

/** Letters as they are typed in a hurry: small, without accents. */
const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase();

/** The words of what was typed, as they are looked for. */
export const wordsOf = (text: string): string[] => plain(text).split(/\s+/).filter(Boolean);

/**
 * How well a name fits what was typed: 3 is the name itself, 2 begins with it, 1 has every word at the beginning of one of
 * its own, or of the detail's; 0 has them somewhere; null has one of them nowhere.
 */
function fit({ name, detail, also = '' }: Findable, words: readonly string[]): number | null {
  const [whole, own] = [words.join(' '), plain(name)];
  if (own === whole) return 3;
  if (own.startsWith(whole)) return 2;
  const all = `${own} ${plain(detail)} ${plain(also)}`;
  const begins = new Set(all.split(/[\s,()-]+/));
  const isBegun = (word: string) => [...begins].some((one) => one.startsWith(word));
  if (words.every(isBegun)) return 1;
  return words.every((word) => all.includes(word)) ? 0 : null;
}

/**
 * What fits a typed text, the best first; among equals by kind, and the doughs nearest to now first.
 *
 * @example
 * foundBest(all, 'cres 38', now); // [{ kind: 'dough', name: 'Crescent 38', … }]
 */
export function foundBest(all: readonly Findable[], text: string, now: number): Findable[] {
  const words = wordsOf(text);
  if (words.length === 0) return [];
  return all
    .flatMap((one) => {
      const score = fit(one, words);
      return score === null ? [] : [{ one, score }];
    })
    .sort(
      (a, b) =>
        b.score - a.score ||
        FOUND_KINDS.indexOf(a.one.kind) - FOUND_KINDS.indexOf(b.one.kind) ||
        away(a.one, now) - away(b.one, now) ||
        a.one.name.localeCompare(b.one.name),
    )
    .map(({ one }) => one)
    .filter(({ kind }, i, all) => all.slice(0, i).filter((before) => before.kind === kind).length < OF_A_KIND)
    .slice(0, LISTED);
}

const away = ({ at }: Findable, now: number): number =>
  at === null ? 0 : Math.floor(Math.abs(at - now) / DAY);
