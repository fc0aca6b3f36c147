import { statfs } from 'node:fs/promises';
import type { Pool } from 'mysql2/promise';
import { isBackupLate } from '@/core/bakery/house-record';
import { rowOf } from './db/rows';
import { lastBackup } from './store/backups';
import { clockSetting } from './store/clock';

/** What was found out about the machine, before it is judged. */
export interface Vitals {
  /** By how much the database's clock is before this one, ms; null where it did not answer in time. */
  clockApart: number | null;
  /** Free space where the bakery is kept, bytes. */
  free: number;
  /** When the last backup was made, ms; null where there is none; left out where none is wanted, as in the demo. */
  backupAt?: number | null;
  now: number;
}

/** How the bakery's computer is, each in a word. `ready`: taps are taken. */
export interface Health {
  ready: boolean;
  database: 'ok' | 'down';
  clock: 'ok' | 'off' | 'unknown';
  disk: 'ok' | 'low';
  backup: 'ok' | 'late' | 'unknown';
}

/** Two clocks of one machine are the same; of two machines they are this near where they are looked after, ms. */
const APART = 2_000;
/** With less free space than this a night of photos may fill the disk, bytes. */
const LEAST_FREE = 1_000_000_000;

/**
 * Judges what was found. Taps are taken while the database answers, whatever else is wrong: the rest is told before it hurts.
 *
 * @example
 * healthOf({ clockApart: 4, free: 9e9, backupAt: null, now }); // { ready: true, …, backup: 'late' }
 */
export function healthOf({ clockApart, free, backupAt, now }: Vitals): Health {
  const isUp = clockApart !== null;
  return {
    ready: isUp,
    database: isUp ? 'ok' : 'down',
    clock: !isUp ? 'unknown' : Math.abs(clockApart) > APART ? 'off' : 'ok',
    disk: free < LEAST_FREE ? 'low' : 'ok',
    backup: !isUp ? 'unknown' : backupAt !== undefined && isBackupLate(backupAt, now) ? 'late' : 'ok',
  };
}

/** How long the database may take before it counts as down, ms. */
const PATIENCE = 2_000;

/** Finds out how this machine is. Nothing of the bakery is in it. */
export async function vitals(db: Pool): Promise<Vitals> {
  const { bavail, bsize } = await statfs(process.cwd());
  const free = bavail * bsize;
  const asked = async (): Promise<Vitals> => {
    const row = await rowOf<{ at: Date }>(db, 'SELECT UTC_TIMESTAMP(3) AS at');
    const now = Date.now();
    const clockApart = (row?.at.getTime() ?? 0) - now;
    const { demo } = await clockSetting(db);
    return { clockApart, free, now, ...(demo ? {} : { backupAt: (await lastBackup(db))?.madeAt ?? null }) };
  };
  const silent = new Promise<Vitals>((late) =>
    setTimeout(() => late({ clockApart: null, free, now: Date.now() }), PATIENCE).unref(),
  );
  // Whatever keeps the database from answering: it is down for whoever asks.
  return Promise.race([asked().catch((): Vitals => ({ clockApart: null, free, now: Date.now() })), silent]);
}
