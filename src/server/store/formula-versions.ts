import { type Formula } from '@/core/formula/formula';
import { type Db, rowOf, write } from '../db/rows';

/** Writes a version of a formula down. */
export function insertFormulaVersion(
  db: Db,
  {
    formulaId,
    version,
    formula,
    now,
    note,
    personId,
    client,
  }: {
    formulaId: number;
    version: number;
    formula: Formula;
    now: number;
    note: string;
    personId: number;
    client: string;
  },
) {
  return write(
    db,
    `INSERT INTO formula_version (formula_id, version, body, created_at, note, made_by, client_id)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
    [formulaId, version, JSON.stringify(formula), new Date(now), note.trim(), personId, client],
  );
}

/** The version of a formula that a screen saved under its own id. */
export function formulaVersionOfClient(db: Db, client: string) {
  return rowOf<{ formulaId: number; versionId: number; version: number }>(
    db,
    'SELECT formula_id AS formulaId, id AS versionId, version FROM formula_version WHERE client_id = ?',
    [client],
  );
}

/** Renames a formula. */
export async function renameFormula(db: Db, formulaId: number, name: string): Promise<void> {
  await write(db, 'UPDATE formula SET name = ? WHERE id = ?', [name, formulaId]);
}

/** Writes a formula's name down; gives its id. */
export function insertFormula(db: Db, name: string) {
  return write(db, 'INSERT INTO formula (name) VALUES (?)', [name]);
}
