import type { Person } from '@/core/bakery/people';
import { type HouseRecord, isBackupLate } from '@/core/bakery/house-record';
import { tablets } from '../auth/tablet';
import { keptWords } from '@/words/as-text';
import { json } from '../db/json';
import { type Db, rowsOf, write } from '../db/rows';
import { lastBackup } from './backups';
import { clockSetting } from './clock';

/** Changes that are shown. */
const SHOWN = 100;

/** The last backup, as a planner watches over it; the demo's bakery begins anew anyway. */
async function backupOf(db: Db): Promise<HouseRecord['backup']> {
  const [clock, last] = await Promise.all([clockSetting(db), lastBackup(db)]);
  return clock.demo ? null : { last, isLate: isBackupLate(last?.madeAt ?? null, Date.now()) };
}

/** Devices, addresses, backup and changes of the house: all of them for planners, their own addresses for others. */
export async function houseRecord(db: Db, person: Person): Promise<HouseRecord> {
  const all = person.role === 'planner';
  const [devices, backup, addresses, changes] = await Promise.all([
    all ? tablets(db) : [],
    all ? backupOf(db) : null,
    rowsOf<{ id: number; of: string | null; by: string; madeAt: Date }>(
      db,
      `SELECT a.id, whose.name AS \`of\`, maker.name AS \`by\`, a.made_at AS madeAt FROM calendar_address a
       JOIN person maker ON maker.id = a.made_by LEFT JOIN person whose ON whose.id = a.person_id
       WHERE ? OR ? IN (a.person_id, a.made_by) ORDER BY a.id DESC`,
      [all, person.id],
    ),
    all
      ? rowsOf<{ id: number; at: Date; by: string; subject: string; was: unknown; becomes: unknown }>(
          db,
          `SELECT audit.id, audit.at, person.name AS \`by\`, subject, was, becomes FROM audit
           JOIN person ON person.id = person_id ORDER BY audit.id DESC LIMIT ${SHOWN}`,
        )
      : [],
  ]);
  return {
    devices,
    backup,
    addresses: addresses.map(({ madeAt, ...row }) => ({ ...row, madeAt: madeAt.getTime() })),
    changes: changes.map(({ at, subject, was, becomes, ...row }) => ({
      ...{ ...row, subject: keptWords(subject), at: at.getTime() },
      ...{ was: json(was), becomes: json(becomes) },
    })),
  };
}

/** Writes down who changed what of the house. */
export async function insertAudit(
  db: Db,
  {
    now,
    personId,
    sessionId,
    name,
    subject,
    before,
    after,
  }: {
    now: number;
    personId: number;
    sessionId: number | null;
    name: string;
    subject: string;
    before: string;
    after: string;
  },
): Promise<void> {
  await write(
    db,
    'INSERT INTO audit (at, person_id, session_id, command, subject, was, becomes) VALUES (?, ?, ?, ?, ?, ?, ?)',
    [new Date(now), personId, sessionId, name, subject, before, after],
  );
}
