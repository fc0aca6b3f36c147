import {
  type EventData,
  eventOf,
  type FlatEvent,
  type FloorEvent,
  type FloorEventKind,
} from '@/core/record/events';
import { json } from '../db/json';
import { type Db, rowOf, rowsOf } from '../db/rows';

interface EventRow extends Omit<FlatEvent, 'at' | 'data' | 'receivedAt'> {
  at: Date;
  data: unknown;
  receivedAt: Date | null;
  waited: number;
}

const EVENT_COLUMNS = `id, dough_id AS doughId, step_key AS stepKey, kind, at, person_id AS personId, celsius, text, undoes,
  data, received_at AS receivedAt, waited`;

/** Years outside of which nothing was ever recorded: a row that says so is damaged, and read as if it were not there. */
const POSSIBLE = { from: Date.UTC(2000, 0, 1), to: Date.UTC(2200, 0, 1) };

function readEvent({ at, data, receivedAt, waited, ...row }: EventRow): FloorEvent | null {
  const happened = at.getTime();
  if (!(happened >= POSSIBLE.from && happened <= POSSIBLE.to)) return null;
  return eventOf({
    ...{ ...row, at: happened, data: data === null ? null : json<EventData>(data) },
    ...(waited && receivedAt ? { receivedAt: receivedAt.getTime() } : {}),
  });
}

/** All events of these doughs, in order of recording. */
export async function floorEvents(db: Db, ids: readonly number[]): Promise<Map<number, FloorEvent[]>> {
  const rows = await rowsOf<EventRow>(
    db,
    `SELECT ${EVENT_COLUMNS} FROM floor_event WHERE dough_id IN (?) ORDER BY seq`,
    [ids],
  );
  const byDough = new Map<number, FloorEvent[]>(ids.map((id) => [id, []]));
  for (const row of rows) {
    const event = readEvent(row);
    if (event) byDough.get(row.doughId)?.push(event);
  }
  return byDough;
}

/** Events of some kinds of these doughs, in order of recording. */
export async function eventsOfKinds(
  db: Db,
  ids: readonly number[],
  kinds: readonly FloorEventKind[],
): Promise<FloorEvent[]> {
  const rows = await rowsOf<EventRow>(
    db,
    `SELECT ${EVENT_COLUMNS} FROM floor_event WHERE dough_id IN (?) AND kind IN (?) ORDER BY seq`,
    [ids, kinds],
  );
  return rows.flatMap((row) => readEvent(row) ?? []);
}

/** Events by their ids, in order of recording. */
export async function floorEventsByIds(db: Db, ids: readonly string[]): Promise<FloorEvent[]> {
  if (ids.length === 0) return [];
  const rows = await rowsOf<EventRow>(
    db,
    `SELECT ${EVENT_COLUMNS} FROM floor_event WHERE id IN (?) ORDER BY seq`,
    [ids],
  );
  return rows.flatMap((row) => readEvent(row) ?? []);
}

/** How far back it is looked for a core probe that nobody has taken out, days: no dough waits for longer. */
const PROBE_DAYS = 4;

/** The other doughs that were given a core probe lately. */
export function doughsWithProbe(db: Db, doughId: number, now: number) {
  return rowsOf<{ id: number }>(
    db,
    "SELECT DISTINCT dough_id AS id FROM floor_event WHERE kind = 'probe' AND dough_id <> ? AND at > ?",
    [doughId, new Date(now - PROBE_DAYS * 24 * 3_600_000)],
  );
}

/** For how long a load is looked for on the decks it was put on, hours: no bake is so long. */
const ON_DECKS = 12;

/** The other doughs whose loads were put on decks lately. */
export function doughsOnDecks(db: Db, doughId: number, now: number) {
  return rowsOf<{ id: number }>(
    db,
    "SELECT DISTINCT dough_id AS id FROM floor_event WHERE kind = 'deck' AND dough_id <> ? AND at > ?",
    [doughId, new Date(now - ON_DECKS * 3_600_000)],
  );
}

/** The event of this id. */
export function eventById(db: Db, id: string) {
  return rowOf<{ id: string }>(db, 'SELECT id FROM floor_event WHERE id = ?', [id]);
}
