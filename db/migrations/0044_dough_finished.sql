-- When the last step of a dough was over by its record: what is not over stays in sight of the floor, however long ago it was due.
ALTER TABLE dough ADD COLUMN IF NOT EXISTS finished_at DATETIME(3) NULL;
-- Of what was due before this was kept nobody is asked any more.
UPDATE dough SET finished_at = UTC_TIMESTAMP(3)
  WHERE id IN (SELECT dough_id FROM dough_output WHERE due_at < UTC_TIMESTAMP(3) - INTERVAL 2 DAY);
