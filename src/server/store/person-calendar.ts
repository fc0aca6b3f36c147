import { writeCalendar } from '@/core/exchange/icalendar';
import { planEvents } from '@/core/exchange/plan-table';
import { rota } from '@/core/schedule/rota';
import { tokenHash } from '../auth/token';
import { houseBook } from './house-book';
import { sharedBoard } from './shared-board';
import { wordsIn } from '@/words/compile';
import type { Language } from '@/words/message';
import { type Db, rowsOf } from '../db/rows';

/** Whose calendar it is, null for the whole plan, and what they read. */
export interface CalendarOf {
  personId: number | null;
  language: Language;
}

/** The plan's hands-on work as a calendar: all of it, or what the rota gives to one person. */
export async function planCalendar(db: Db, now: number, { personId, language }: CalendarOf): Promise<string> {
  const said = wordsIn(language).coded;
  const { house, doughs, machines, presences } = await sharedBoard(db, now, 2);
  if (personId === null) return writeCalendar(house.name, planEvents(doughs, machines, said), now);
  const { people } = await houseBook(db, now);
  const own = rota(doughs, people, presences).filter(({ personIds }) => personIds.includes(personId));
  const name = people.find(({ id }) => id === personId)?.name ?? '';
  return writeCalendar(
    `${house.name}: ${name}`,
    planEvents(doughs, machines, said, new Set(own.map(({ task }) => task))),
    now,
  );
}

/** Whose calendar a private address gives; undefined where there is no such address. */
export async function addressOf(db: Db, token: string): Promise<CalendarOf | undefined> {
  const [row] = await rowsOf<CalendarOf>(
    db,
    `SELECT a.person_id AS personId, COALESCE(whose.language, maker.language, 'en') AS language FROM calendar_address a JOIN person maker ON maker.id = a.made_by AND maker.active
     LEFT JOIN person whose ON whose.id = a.person_id WHERE a.token_hash = ? AND COALESCE(whose.active, TRUE)`,
    [tokenHash(token)],
  );
  return row;
}
