import type { Person, Skill } from '@/core/bakery/people';
import type { Language } from '@/words/message';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

/** Sets the hash of a person's PIN. */
export async function setPin(db: Db, hash: string, personId: number): Promise<void> {
  await write(db, 'UPDATE person SET pin_hash = ?, pin_peppered = TRUE WHERE id = ?', [hash, personId]);
}

/** The tablet of a session. */
export function tabletOfSession(db: Db, sessionId: number | null) {
  return rowOf<{ tablet: number }>(db, 'SELECT tablet_id AS tablet FROM session WHERE id = ?', [sessionId]);
}

/** The name of a person. */
export function personCalled(db: Db, personId: number) {
  return rowOf<{ name: string }>(db, 'SELECT name FROM person WHERE id = ?', [personId]);
}

/** Writes a person down. */
export function insertPerson(
  db: Db,
  { name, role, team, hash }: { name: string; role: Person['role']; team: string; hash: string },
) {
  return write(
    db,
    'INSERT INTO person (name, role, team, pin_hash, pin_peppered) VALUES (?, ?, ?, ?, TRUE)',
    [...[name, role, team, hash]],
  );
}

/** A person as they are written down, with their skills as one text. */
export function personBefore(db: Db, id: number) {
  return rowOf<{
    name: string;
    role: Person['role'];
    team: string;
    language: Language | null;
    active: number;
    skills: string | null;
  }>(
    db,
    `SELECT name, role, team, language, active,
       (SELECT GROUP_CONCAT(skill ORDER BY CONCAT(skill)) FROM person_skill WHERE person_id = person.id) AS skills
     FROM person WHERE id = ? FOR UPDATE`,
    [id],
  );
}

/** Gives a person skills. */
export async function insertSkills(db: Db, personId: number, skills: readonly Skill[]): Promise<void> {
  await write(db, 'INSERT INTO person_skill (person_id, skill) VALUES ?', [
    skills.map((skill) => [personId, skill]),
  ]);
}

/** Takes a person's skills away. */
export async function removeSkills(db: Db, personId: number): Promise<void> {
  await write(db, 'DELETE FROM person_skill WHERE person_id = ?', [personId]);
}

/** Changes a person. */
export async function changePerson(
  db: Db,
  personId: number,
  { name, role, team, active }: Pick<Person, 'name' | 'role' | 'team'> & { active: boolean },
): Promise<void> {
  await write(db, 'UPDATE person SET name = ?, role = ?, team = ?, active = ? WHERE id = ?', [
    ...[name, role, team, active, personId],
  ]);
}

/** Sets what a person reads; null: what the tablet reads that they are at. */
export async function setLanguage(db: Db, personId: number, language: Language | null): Promise<void> {
  await write(db, 'UPDATE person SET language = ? WHERE id = ?', [language, personId]);
}

/** Writes down that somebody has seen what their role does here. */
export async function setGuided(db: Db, personId: number): Promise<void> {
  await write(db, 'UPDATE person SET guided_at = UTC_TIMESTAMP(3) WHERE id = ? AND guided_at IS NULL', [
    personId,
  ]);
}

/** Whether somebody has seen what their role does here. */
export async function isGuided(db: Db, personId: number): Promise<boolean> {
  const row = await rowOf<{ guidedAt: Date | null }>(
    db,
    'SELECT guided_at AS guidedAt FROM person WHERE id = ?',
    [personId],
  );
  return row !== null && row.guidedAt !== null;
}

/** What people read who have said so, by id. */
export async function languages(db: Db): Promise<ReadonlyMap<number, Language>> {
  const rows = await rowsOf<{ id: number; language: Language }>(
    db,
    'SELECT id, language FROM person WHERE language IS NOT NULL',
    [],
  );
  return new Map(rows.map(({ id, language }) => [id, language]));
}

/** Other people of this name. */
export function othersCalled(db: Db, name: string, id: number | null) {
  return rowOf<{ id: number }>(db, 'SELECT id FROM person WHERE name = ? AND id <> ?', [...[name, id ?? 0]]);
}
