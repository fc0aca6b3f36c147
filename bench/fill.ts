import { randomUUID } from 'node:crypto';
import type { Pool } from 'mysql2/promise';

/** Copies the demo's doughs: to forty under way, and into the past as a year of log. */
export async function fillHouse(pool: Pool): Promise<void> {
  for (let nth = 1; nth <= 3; nth++) await copyWeek(pool, 0, nth);
  for (let week = 1; week <= 104; week++) await copyWeek(pool, 3.5 * week, 100 + week);
}

/** Copies the demo's doughs, with their plan and their log, so many days back. */
export async function copyWeek(pool: Pool, shiftDays: number, nth: number): Promise<void> {
  const [doughs] = await pool.query('SELECT id, name FROM dough WHERE id <= 11');
  for (const { id, name } of doughs as { id: number; name: string }[]) {
    const [made] = await pool.query(
      `INSERT INTO dough (client_id, name, created_at, created_by)
         SELECT ?, ?, created_at - INTERVAL ? DAY, created_by FROM dough WHERE id = ?`,
      [randomUUID(), `${name}.${nth}`, shiftDays, id],
    );
    const copyId = (made as { insertId: number }).insertId;
    const [outputs] = await pool.query('SELECT id FROM dough_output WHERE dough_id = ? ORDER BY id', [id]);
    for (const output of outputs as { id: number }[]) {
      const [line] = await pool.query(
        `INSERT INTO dough_output (dough_id, product_version_id, pieces, due_at)
           SELECT ?, product_version_id, pieces, due_at - INTERVAL ? DAY FROM dough_output WHERE id = ?`,
        [copyId, shiftDays, output.id],
      );
      const renamed = `IF(step_key LIKE '${output.id}.%', CONCAT('${(line as { insertId: number }).insertId}', SUBSTRING(step_key, ${String(output.id).length + 1})), step_key)`;
      await pool.query(
        `INSERT IGNORE INTO planned_step (since_version, dough_id, step_key, start_at, end_at)
           SELECT since_version, ?, ${renamed}, start_at - INTERVAL ? DAY, end_at - INTERVAL ? DAY
           FROM planned_step WHERE dough_id = ? AND until_version IS NULL`,
        [copyId, shiftDays, shiftDays, id],
      );
      await pool.query(
        `INSERT IGNORE INTO floor_event (id, dough_id, step_key, kind, at, person_id, celsius, text, data)
           SELECT UUID(), ?, ${renamed}, kind, at - INTERVAL ? DAY, person_id, celsius, text, data FROM floor_event WHERE dough_id = ?`,
        [copyId, shiftDays, id],
      );
    }
  }
}
