import { setTimeout as pause } from 'node:timers/promises';
import type { Pool, PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

/** Whatever can run a statement: the pool, or the connection of a transaction. */
export type Db = Pool | PoolConnection;

/** Values that a placeholder takes; a list fills `IN (?)`, a list of rows fills `VALUES ?`. */
export type SqlValue = string | number | boolean | Date | Buffer | null | readonly SqlValue[];

/**
 * What went wrong in the database, by its code alone: the driver's own error carries the statement with everybody's
 * values in it, which have no place in a log.
 */
export class DatabaseError extends Error {
  constructor(
    /** Such as `ER_DUP_ENTRY` or `ECONNREFUSED`. */
    readonly code: string,
    /** The connection is of no use any more. */
    readonly fatal: boolean,
  ) {
    super(`The database answered ${code}.`);
  }
}

function cleaned(error: unknown): DatabaseError {
  const { code = 'UNKNOWN', fatal = false } = error as { code?: string; fatal?: boolean };
  return new DatabaseError(code, fatal);
}

/** True for a row that was there before. */
export const isDuplicate = (error: unknown): boolean =>
  error instanceof DatabaseError && error.code === 'ER_DUP_ENTRY';

/** True where two transactions were in each other's way, and doing it again is all that is needed. */
const isContention = (error: unknown): boolean =>
  error instanceof DatabaseError && ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT'].includes(error.code);

/** The rows of a query. `T` names the columns that the statement selects. */
export async function rowsOf<T>(db: Db, sql: string, values: readonly SqlValue[] = []): Promise<T[]> {
  try {
    const [rows] = await db.query<RowDataPacket[]>(sql, [...values]);
    return rows as T[];
  } catch (error) {
    throw cleaned(error);
  }
}

/** The first row of a query; null where it has none. */
export async function rowOf<T>(db: Db, sql: string, values: readonly SqlValue[] = []): Promise<T | null> {
  const [row] = await rowsOf<T>(db, sql, values);
  return row ?? null;
}

/** Runs a statement that writes; says how many rows it touched and the id it made. */
export async function write(
  db: Db,
  sql: string,
  values: readonly SqlValue[],
): Promise<{ id: number; touched: number }> {
  try {
    const [result] = await db.query<ResultSetHeader>(sql, [...values]);
    return { id: result.insertId, touched: result.affectedRows };
  } catch (error) {
    throw cleaned(error);
  }
}

/**
 * Inserts one row unless its unique key is there already, and tells whether it was new. Unlike `INSERT IGNORE`, every
 * other fault of the row is still an error.
 *
 * @param columns - column names of the table, with their values
 */
export async function insertOnce(
  db: Db,
  table: string,
  columns: Readonly<Record<string, SqlValue>>,
): Promise<boolean> {
  const names = Object.keys(columns);
  const sql = `INSERT INTO ${table} (${names.join(', ')}) VALUES (${names.map(() => '?').join(', ')})`;
  try {
    await write(db, sql, Object.values(columns));
    return true;
  } catch (error) {
    if (isDuplicate(error)) return false;
    throw error;
  }
}

/** How often a transaction is tried that was in another's way, and the longest pause before the second try, ms. */
const TRIES = 6;
const FIRST_PAUSE = 20;

/**
 * Runs `work` in a transaction: all of it or nothing. Where it ran into another transaction (a deadlock, a lock that was
 * not released in time) it is run again from the start, so `work` changes nothing but the database.
 */
export async function transaction<T>(pool: Pool, work: (db: PoolConnection) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await once(pool, work);
    } catch (error) {
      if (!isContention(error) || tries === TRIES) throw error;
      await pause(Math.random() * FIRST_PAUSE * 2 ** tries);
    }
  }
}

async function once<T>(pool: Pool, work: (db: PoolConnection) => Promise<T>): Promise<T> {
  const db = await connectionOf(pool);
  try {
    // Whoever has waited for a lock must see what the one before has done.
    await write(db, 'SET TRANSACTION ISOLATION LEVEL READ COMMITTED', []);
    await write(db, 'START TRANSACTION', []);
    const result = await work(db);
    await write(db, 'COMMIT', []);
    db.release();
    return result;
  } catch (error) {
    // A connection that cannot even roll back is given up; the server rolls back when it is gone.
    await write(db, 'ROLLBACK', []).then(
      () => db.release(),
      () => db.destroy(),
    );
    throw error;
  }
}

async function connectionOf(pool: Pool): Promise<PoolConnection> {
  try {
    return await pool.getConnection();
  } catch (error) {
    throw cleaned(error);
  }
}
