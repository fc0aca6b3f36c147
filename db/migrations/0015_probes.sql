-- Needles stand in doughs, not in rooms: their readings are kept as any other's, and say nothing of a place.
ALTER TABLE place ADD COLUMN IF NOT EXISTS in_dough BOOLEAN NOT NULL DEFAULT FALSE;
INSERT IGNORE INTO place (id, label, kind, usual, lowest, highest, position, in_dough) VALUES
  ('needle-1', 'Needle 1', 'room', 20, -40, 120, 20, TRUE),
  ('needle-2', 'Needle 2', 'room', 20, -40, 120, 21, TRUE);

-- Readings older than a month, one row a minute: enough for a curve of a year.
CREATE TABLE IF NOT EXISTS place_minute (
  place VARCHAR(40) NOT NULL,
  minute DATETIME NOT NULL,
  celsius DECIMAL(5, 2) NOT NULL,
  lowest DECIMAL(5, 2) NOT NULL,
  highest DECIMAL(5, 2) NOT NULL,
  humidity DOUBLE NULL,
  PRIMARY KEY (place, minute)
);

INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('raw_days', 31, 'd', 'For how long readings of probes are kept one by one; after that one a minute.');

-- A needle is put into a dough, or taken out; a dough that waits is put somewhere else.
ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix',
    'turn', 'check', 'weigh', 'scrap', 'count', 'marks', 'take', 'needle', 'move') NOT NULL;

-- Readings lie in the order in which they are asked for, and the newest of each kind of a place is one step into an index.
ALTER TABLE place_reading
  ADD COLUMN IF NOT EXISTS doubted BOOLEAN AS (doubt IS NOT NULL) PERSISTENT,
  DROP COLUMN IF EXISTS id,
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (place, at),
  DROP INDEX IF EXISTS place_reading_once,
  ADD KEY IF NOT EXISTS place_reading_newest (place, doubted, source, at);
