import { type Scheme } from '@/core/lamination/scheme';
import { type Db, rowOf, write } from '../db/rows';

/** A version of a scheme that was kept. */
export interface KeptScheme {
  schemeId: number;
  versionId: number;
  version: number;
}

/** Takes a scheme out of use, or back into use. */
export async function setSchemeRemoved(db: Db, schemeId: number, removed: Date | null): Promise<void> {
  await write(db, 'UPDATE scheme SET removed_at = ? WHERE id = ?', [removed, schemeId]);
}

/** Writes a version of a scheme down. */
export function insertSchemeVersion(
  db: Db,
  {
    schemeId,
    next,
    scheme,
    now,
    personId,
    clientId,
  }: { schemeId: number; next: number; scheme: Scheme; now: number; personId: number; clientId: string },
) {
  return write(
    db,
    'INSERT INTO scheme_version (scheme_id, version, body, created_at, made_by, client_id) VALUES (?, ?, ?, ?, ?, ?)',
    [schemeId, next, JSON.stringify(scheme), new Date(now), personId, clientId],
  );
}

/** The number of a scheme's newest version. */
export function newestSchemeVersion(db: Db, schemeId: number) {
  return rowOf<{ version: number | null }>(
    db,
    'SELECT MAX(version) AS version FROM scheme_version WHERE scheme_id = ?',
    [schemeId],
  );
}

/** Writes a scheme's name down; gives its id. */
export function insertScheme(db: Db, name: string) {
  return write(
    db,
    'INSERT INTO scheme (name) VALUES (?) ON DUPLICATE KEY UPDATE removed_at = NULL, id = LAST_INSERT_ID(id)',
    [name],
  );
}

/** Renames a scheme. */
export async function renameScheme(db: Db, schemeId: number, name: string): Promise<void> {
  await write(db, 'UPDATE scheme SET name = ? WHERE id = ?', [name, schemeId]);
}

/** The version of a scheme that a screen saved under its own id. */
export function schemeVersionOfClient(db: Db, clientId: string) {
  return rowOf<KeptScheme>(
    db,
    'SELECT scheme_id AS schemeId, id AS versionId, version FROM scheme_version WHERE client_id = ?',
    [clientId],
  );
}
