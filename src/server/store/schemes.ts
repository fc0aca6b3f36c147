import type { Scheme } from '@/core/lamination/scheme';
import type { SchemeVersion } from '@/core/process/route';
import { json } from '../db/json';
import { type Db, rowsOf } from '../db/rows';

/** A scheme with its newest version, and the products that are laminated by any version of it today. */
export interface HouseScheme extends SchemeVersion {
  schemeId: number;
  version: number;
  products: { id: number; name: string; versionId: number }[];
}

interface SchemeRow {
  versionId: number;
  schemeId: number;
  version: number;
  name: string;
  body: unknown;
}

const COLUMNS = 'v.id AS versionId, s.id AS schemeId, v.version, s.name, v.body';

/** These versions of schemes, by id. */
export async function schemeVersions(db: Db, ids: readonly number[]): Promise<Map<number, SchemeVersion>> {
  if (ids.length === 0) return new Map();
  const rows = await rowsOf<SchemeRow>(
    db,
    `SELECT ${COLUMNS} FROM scheme_version v JOIN scheme s ON s.id = v.scheme_id WHERE v.id IN (?)`,
    [[...new Set(ids)]],
  );
  return new Map(
    rows.map(({ versionId, name, body }) => [versionId, { versionId, name, scheme: json<Scheme>(body) }]),
  );
}

/** The schemes of the house, the newest version of each, in the order in which they were made. */
export async function currentSchemes(db: Db): Promise<HouseScheme[]> {
  const [rows, users] = await Promise.all([
    rowsOf<SchemeRow>(
      db,
      `SELECT ${COLUMNS} FROM scheme s JOIN scheme_version v ON v.scheme_id = s.id
       WHERE s.removed_at IS NULL AND v.version = (SELECT MAX(version) FROM scheme_version WHERE scheme_id = s.id)
       ORDER BY s.id`,
    ),
    rowsOf<{ schemeId: number; id: number; name: string; versionId: number }>(
      db,
      `SELECT v.scheme_id AS schemeId, p.id, p.name, v.id AS versionId FROM product_version pv
       JOIN product p ON p.id = pv.product_id JOIN scheme_version v ON v.id = pv.scheme_version_id
       WHERE pv.version = (SELECT MAX(version) FROM product_version WHERE product_id = p.id)
         AND p.removed_at IS NULL ORDER BY p.name`,
    ),
  ]);
  return rows.map(({ body, ...row }) => ({
    ...row,
    scheme: json<Scheme>(body),
    products: users
      .filter(({ schemeId }) => schemeId === row.schemeId)
      .map(({ id, name, versionId }) => ({ id, name, versionId })),
  }));
}
