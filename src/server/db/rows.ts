import type { Pool, PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

/** Whatever can run a statement: the pool, or the connection of a transaction. */
export type Db = Pool | PoolConnection;

/** Values that a placeholder takes; a list fills `IN (?)`, a list of rows fills `VALUES ?`. */
export type SqlValue = string | number | boolean | Date | Buffer | null | readonly SqlValue[];

/** The rows of a query. `T` names the columns that the statement selects. */
export async function rowsOf<T>(db: Db, sql: string, values: readonly SqlValue[] = []): Promise<T[]> {
  const [rows] = await db.query<RowDataPacket[]>(sql, [...values]);
  return rows as T[];
}

/** Runs a statement that writes; says how many rows it touched and the id it made. */
export async function write(
  db: Db,
  sql: string,
  values: readonly SqlValue[],
): Promise<{ id: number; touched: number }> {
  const [result] = await db.query<ResultSetHeader>(sql, [...values]);
  return { id: result.insertId, touched: result.affectedRows };
}

/** Runs `work` in a transaction: all of it or nothing. */
export async function transaction<T>(pool: Pool, work: (db: PoolConnection) => Promise<T>): Promise<T> {
  const db = await pool.getConnection();
  try {
    // Whoever has waited for a lock must see what the one before has done.
    await db.query('SET TRANSACTION ISOLATION LEVEL READ COMMITTED');
    await db.beginTransaction();
    const result = await work(db);
    await db.commit();
    return result;
  } catch (error) {
    await db.rollback();
    throw error;
  } finally {
    db.release();
  }
}
