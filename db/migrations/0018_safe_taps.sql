-- What a tablet sends more than once is done once: the answer of every command that was done, by the number its page gave it.
CREATE TABLE IF NOT EXISTS command_done (
  id CHAR(36) PRIMARY KEY,
  command VARCHAR(40) NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  at DATETIME(3) NOT NULL,
  result JSON NOT NULL,
  KEY command_done_at (at),
  CONSTRAINT command_done_person FOREIGN KEY (person_id) REFERENCES person (id)
);

-- The number of the newest change. Its row is locked from the numbering to the commit, so numbers are in the order in
-- which changes can be seen, on one server and, by certification, on a cluster.
CREATE TABLE IF NOT EXISTS feed_number (
  id TINYINT UNSIGNED PRIMARY KEY,
  newest BIGINT UNSIGNED NOT NULL,
  CONSTRAINT one_feed CHECK (id = 1)
);
INSERT INTO feed_number (id, newest) SELECT 1, COALESCE(MAX(id), 0) FROM change_feed
  ON DUPLICATE KEY UPDATE newest = newest;

ALTER TABLE change_feed
  MODIFY COLUMN id BIGINT UNSIGNED NOT NULL,
  ADD COLUMN IF NOT EXISTS event_id CHAR(36) NULL,
  ADD KEY IF NOT EXISTS change_feed_command (command, id),
  ADD KEY IF NOT EXISTS change_feed_at (at);

-- When the server received an event (by the house's clock), from which session, and whether it had waited on a tablet.
ALTER TABLE floor_event
  ADD COLUMN IF NOT EXISTS received_at DATETIME(3) NULL,
  ADD COLUMN IF NOT EXISTS session_id BIGINT UNSIGNED NULL,
  ADD COLUMN IF NOT EXISTS waited BOOLEAN NOT NULL DEFAULT FALSE;
