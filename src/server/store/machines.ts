import type { Machine, MachineDetails, MachineKind } from '@/core/bakery/machines';
import type { PlaceKind } from '@/core/heat/places';
import { json } from '../db/json';
import { type Db, rowOf, rowsOf, write } from '../db/rows';

interface MachineChange {
  id: string;
  label: string;
  capacity: number;
  unit: string;
  changeover: number;
  decks: number | undefined;
  kgLeast: number | null;
  kgAtOnce: number | null;
  details: MachineDetails;
}

/** Changes a machine. */
export async function changeMachine(
  db: Db,
  { label, capacity, unit, changeover, decks, kgLeast, kgAtOnce, details, id }: MachineChange,
): Promise<void> {
  await write(
    db,
    `UPDATE machine SET label = ?, capacity = ?, unit = ?, changeover_minutes = ?, decks = COALESCE(?, decks),
       kg_least = ?, kg_at_once = ?, details = ? WHERE id = ?`,
    [
      ...[label, capacity, unit, changeover, decks ?? null, kgLeast, kgAtOnce],
      ...[JSON.stringify(details), id],
    ],
  );
}

interface MachineRow {
  kind: MachineKind;
  label: string;
  capacity: number;
  changeover: number;
  decks: number;
  kgLeast: number | null;
  kgAtOnce: number | null;
  details: MachineDetails;
}

/** A machine in use, as it is. */
export async function machineById(db: Db, id: string): Promise<MachineRow | null> {
  const row = await rowOf<Omit<MachineRow, 'details'> & { details: unknown }>(
    db,
    `SELECT kind, label, capacity, changeover_minutes AS changeover, decks, kg_least AS kgLeast,
       kg_at_once AS kgAtOnce, details
     FROM machine WHERE id = ? AND removed_at IS NULL`,
    [id],
  );
  return row && { ...row, details: row.details === null ? {} : json<MachineDetails>(row.details) };
}

/** Other machines of this name. */
export function machinesCalled(db: Db, label: string, id: string) {
  return rowOf<{ label: string }>(
    db,
    'SELECT label FROM machine WHERE label = ? AND id <> ? AND removed_at IS NULL',
    [...[label, id]],
  );
}

/** The name of a machine. */
export function machineCalled(db: Db, machineId: string) {
  return rowOf<{ label: string }>(db, 'SELECT label FROM machine WHERE id = ?', [machineId]);
}

/** Gives a house machines, in this order, after those whose positions are lower than `from`. */
export async function insertMachines(db: Db, machines: readonly Machine[], from = 0): Promise<void> {
  await write(
    db,
    `INSERT INTO machine (id, kind, label, capacity, unit, changeover_minutes, decks, kg_least, kg_at_once, place_id, position, details)
     VALUES ?`,
    [
      machines.map(({ id, kind, label, capacity, unit, changeover, ...more }, i) => [
        ...[id, kind, label, capacity, unit, changeover, more.decks ?? 1],
        ...[more.kgLeast ?? null, more.kgAtOnce ?? null, more.place ?? null, from + i],
        more.details ? JSON.stringify(more.details) : null,
      ]),
    ],
  );
}

/** How many machines there are or were, and where the next stands in the house's order. */
export async function machineCount(db: Db): Promise<{ ids: string[]; next: number }> {
  const rows = await rowsOf<{ id: string; position: number }>(
    db,
    'SELECT id, position FROM machine FOR UPDATE',
  );
  return { ids: rows.map(({ id }) => id), next: Math.max(-1, ...rows.map(({ position }) => position)) + 1 };
}

/** A place of this kind that no machine has inside yet; the first in the house's order. */
export async function freePlace(db: Db, kinds: readonly PlaceKind[]): Promise<string | null> {
  const [row] = await rowsOf<{ id: string }>(
    db,
    `SELECT id FROM place WHERE kind IN (?) AND purpose = 'dough' AND NOT in_dough AND removed_at IS NULL
       AND id NOT IN (SELECT place_id FROM machine WHERE place_id IS NOT NULL AND removed_at IS NULL)
     ORDER BY position LIMIT 1`,
    [kinds],
  );
  return row?.id ?? null;
}

/** Takes a machine out of use, or back into use; its past keeps it. */
export async function setMachineRemoved(db: Db, id: string, removed: Date | null): Promise<void> {
  await write(db, 'UPDATE machine SET removed_at = ? WHERE id = ?', [removed, id]);
}
