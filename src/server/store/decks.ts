import { type Decks, deckSize, type OvenDecks } from '@/core/bakery/decks';
import { type Machine, machinesOf } from '@/core/bakery/machines';
import { learnBakes } from '@/core/learning/bakes';
import { houseSettings, machines } from './house';
import { type Db, rowsOf } from '../db/rows';

/** What evidence of bakes is about: a whole oven, or one of its decks. */
export const deckSubject = (oven: string, deck: number) => `${oven}/${deck}`;

/** How many of the newest bakes of a deck count: an oven changes with its seals and its burner. */
const NEWEST = 40;

/** The decks of every oven with what their bakes have taught. */
export async function ovenDecks(db: Db, known?: readonly Machine[]): Promise<OvenDecks> {
  const [settings, all, bakes] = await Promise.all([
    houseSettings(db),
    known ?? machines(db),
    rowsOf<{ subject: string; ratio: number }>(
      db,
      `SELECT subject, value AS ratio FROM (
         SELECT subject, value, ROW_NUMBER() OVER (PARTITION BY subject ORDER BY at DESC, id DESC) AS nth FROM evidence
         WHERE kind = 'bake' AND NOT undone
       ) newest WHERE nth <= ?`,
      [NEWEST],
    ),
  ]);
  const house = { spread: settings.bakeSpread, scatter: settings.bakeScatter };
  const learnt = (subject: string) =>
    learnBakes(
      bakes.filter((one) => one.subject === subject).map(({ ratio }) => ratio),
      house,
    );
  const decksOf = (oven: Machine): Decks => {
    const size = deckSize(oven);
    const each = Array.from({ length: size.count }, (_, i) => learnt(deckSubject(oven.id, i + 1)));
    return { ...size, whole: learnt(oven.id), each };
  };
  return Object.fromEntries(machinesOf('oven', all).map((oven) => [oven.id, decksOf(oven)]));
}
