import type { Decks } from '@/core/bakery/decks';
import { learnBakes } from '@/core/learning/bakes';
import { rowsOf, type Db } from '../db/rows';
import { houseValues } from './house';

/** Of the whole oven, and of one of its decks. */
export const OVEN = 'oven';
export const deckSubject = (deck: number) => `${OVEN}/${deck}`;

/** How many of the newest bakes of a deck count: an oven changes with its seals and its burner. */
const NEWEST = 40;

/** The oven's decks with what their bakes have taught. */
export async function ovenDecks(db: Db): Promise<Decks> {
  const [value, [oven], bakes] = await Promise.all([
    houseValues(db),
    rowsOf<{ capacity: number; decks: number }>(db, "SELECT capacity, decks FROM machine WHERE id = 'oven'"),
    rowsOf<{ subject: string; ratio: number }>(
      db,
      `SELECT subject, value AS ratio FROM (
         SELECT subject, value, ROW_NUMBER() OVER (PARTITION BY subject ORDER BY at DESC, id DESC) AS nth FROM evidence
         WHERE kind = 'bake' AND NOT undone
       ) newest WHERE nth <= ?`,
      [NEWEST],
    ),
  ]);
  const house = { spread: value('bake_spread'), scatter: value('bake_scatter') };
  const learnt = (subject: string) =>
    learnBakes(
      bakes.filter((one) => one.subject === subject).map(({ ratio }) => ratio),
      house,
    );
  const count = oven?.decks ?? 1;
  return {
    count,
    perDeck: Math.max(1, Math.floor((oven?.capacity ?? 1) / count)),
    whole: learnt(OVEN),
    each: Array.from({ length: count }, (_, i) => learnt(deckSubject(i + 1))),
  };
}
