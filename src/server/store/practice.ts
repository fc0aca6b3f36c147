import type { NightRecord } from '@/core/practice/night-record';
import type { Scene } from '@/core/practice/scene';
import type { Situation } from '@/core/practice/situation';
import type { PractisedNight } from '@/core/wire/practised-night';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

/** A situation that the house has made itself. */
export interface OwnSituation {
  id: number;
  name: string;
  brief: string;
  situation: Situation;
}

/** A practice night with all that is known of it. */
export interface KeptNight extends Omit<PractisedNight, 'person'> {
  personId: number;
  person: string;
  scene: Scene;
  record: NightRecord;
}

/** Nights in one list. */
const LISTED = 30;

/** The situations that the house has made itself, by name. */
export async function ownSituations(db: Db): Promise<OwnSituation[]> {
  const rows = await rowsOf<{ id: number; name: string; brief: string; body: Situation }>(
    db,
    'SELECT id, name, brief, body FROM practice_situation WHERE removed_at IS NULL ORDER BY name, id',
  );
  return rows.map(({ body, ...row }) => ({ ...row, situation: body }));
}

/** Keeps a situation; a repeat under the same client id keeps it once. */
export async function insertSituation(
  db: Db,
  one: { clientId: string; name: string; brief: string; situation: Situation; personId: number; now: number },
): Promise<number> {
  const { id } = await write(
    db,
    'INSERT INTO practice_situation (client_id, name, brief, body, made_by, made_at) VALUES (?, ?, ?, ?, ?, ?)',
    [one.clientId, one.name, one.brief, JSON.stringify(one.situation), one.personId, new Date(one.now)],
  );
  return id;
}

/** Takes a situation out of the list; nights of it stay. */
export async function markSituationRemoved(db: Db, id: number, now: number): Promise<boolean> {
  const { touched } = await write(
    db,
    'UPDATE practice_situation SET removed_at = ? WHERE id = ? AND removed_at IS NULL',
    [new Date(now), id],
  );
  return touched > 0;
}

/** The last nights of somebody, or of everybody, the newest first. */
export async function nightLines(db: Db, personId: number | null): Promise<PractisedNight[]> {
  const rows = await rowsOf<
    Omit<PractisedNight, 'openedAt' | 'endedAt'> & { openedAt: Date; endedAt: Date | null }
  >(
    db,
    `SELECT n.id, p.name AS person, n.situation, n.name, n.opened_at AS openedAt, n.ended_at AS endedAt, n.good, n.possible
     FROM practice_night n JOIN person p ON p.id = n.person_id WHERE ? IS NULL OR n.person_id = ?
     ORDER BY n.id DESC LIMIT ${LISTED}`,
    [personId, personId],
  );
  return rows.map((row) => ({
    ...row,
    openedAt: row.openedAt.getTime(),
    endedAt: row.endedAt?.getTime() ?? null,
  }));
}

/** A night, or null where there is none. */
export async function nightById(db: Db, id: number): Promise<KeptNight | null> {
  const row = await rowOf<
    Omit<KeptNight, 'openedAt' | 'endedAt' | 'scene' | 'record'> & {
      openedAt: Date;
      endedAt: Date | null;
      scene: string;
      record: string;
    }
  >(
    db,
    `SELECT n.id, n.person_id AS personId, p.name AS person, n.situation, n.name, n.opened_at AS openedAt,
       n.ended_at AS endedAt, n.good, n.possible, n.scene, n.record
     FROM practice_night n JOIN person p ON p.id = n.person_id WHERE n.id = ?`,
    [id],
  );
  if (!row) return null;
  return {
    ...row,
    ...{ openedAt: row.openedAt.getTime(), endedAt: row.endedAt?.getTime() ?? null },
    scene: JSON.parse(row.scene) as Scene,
    record: JSON.parse(row.record) as NightRecord,
  };
}

/** Opens a night. */
export async function insertNight(
  db: Db,
  one: {
    clientId: string;
    personId: number;
    situation: string;
    name: string | null;
    scene: Scene;
    record: NightRecord;
    now: number;
  },
): Promise<number> {
  const { id } = await write(
    db,
    `INSERT INTO practice_night (client_id, person_id, situation, name, opened_at, scene, record)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [
      ...[one.clientId, one.personId, one.situation, one.name, new Date(one.now)],
      ...[JSON.stringify(one.scene), JSON.stringify(one.record)],
    ],
  );
  return id;
}

/** Keeps how far a night has gone; with `ended`, what came of it. */
export async function updateNight(
  db: Db,
  id: number,
  record: NightRecord,
  ended: { at: number; good: number; possible: number } | null,
): Promise<void> {
  await write(
    db,
    'UPDATE practice_night SET record = ?, ended_at = ?, good = ?, possible = ? WHERE id = ? AND ended_at IS NULL',
    [
      ...[JSON.stringify(record), ended && new Date(ended.at)],
      ...[ended?.good ?? null, ended?.possible ?? null, id],
    ],
  );
}
