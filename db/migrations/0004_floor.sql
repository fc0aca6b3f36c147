-- What happened, who, when. Never changed, never deleted: an undo is another event.
CREATE TABLE IF NOT EXISTS floor_event (
  seq BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  id CHAR(36) NOT NULL UNIQUE,
  dough_id INT UNSIGNED NOT NULL,
  step_key VARCHAR(80) NULL,
  kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo') NOT NULL,
  at DATETIME(3) NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  celsius DECIMAL(5, 2) NULL,
  text TEXT NULL,
  undoes CHAR(36) NULL,
  KEY floor_event_dough (dough_id, at),
  CONSTRAINT floor_event_dough FOREIGN KEY (dough_id) REFERENCES dough (id),
  CONSTRAINT floor_event_person FOREIGN KEY (person_id) REFERENCES person (id)
);

CREATE OR REPLACE TRIGGER floor_event_stays BEFORE UPDATE ON floor_event
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What happened is not changed; record another event.';

CREATE OR REPLACE TRIGGER floor_event_is_kept BEFORE DELETE ON floor_event
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What happened is not deleted; record an undo.';

-- Temperatures of places: rooms, retarder, freezer, proofer, oven.
CREATE TABLE IF NOT EXISTS place_reading (
  id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  place VARCHAR(40) NOT NULL,
  at DATETIME(3) NOT NULL,
  celsius DECIMAL(5, 2) NOT NULL,
  UNIQUE KEY place_reading_once (place, at)
);

-- Cursor for everybody who watches: one row for each accepted command.
CREATE TABLE IF NOT EXISTS change_feed (
  id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  at DATETIME(3) NOT NULL,
  command VARCHAR(40) NOT NULL,
  dough_id INT UNSIGNED NULL
);
