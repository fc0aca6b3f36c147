-- Finished batches in numbers, for comparisons over months: derived from record and readings, and worked out anew where
-- `events` is not what the log has. Nothing is lost with it.
CREATE TABLE IF NOT EXISTS batch_summary (
  output_id INT UNSIGNED NOT NULL PRIMARY KEY,
  dough_id INT UNSIGNED NOT NULL,
  product_id INT UNSIGNED NOT NULL,
  done_at DATETIME(3) NOT NULL,
  -- How many events of its dough it was worked out from.
  events INT UNSIGNED NOT NULL,
  body JSON NOT NULL,
  KEY batch_summary_dough (dough_id),
  KEY batch_summary_done (done_at)
);
ALTER TABLE dough ADD KEY IF NOT EXISTS dough_finished (finished_at);
INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('trends_by_person', 0, '1', 'Trends name the people who mixed: 1 yes, 0 no.');
