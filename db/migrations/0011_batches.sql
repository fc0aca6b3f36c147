-- What a finished batch is worth: marks and faults seen.
ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix',
    'turn', 'check', 'weigh', 'scrap', 'count', 'marks') NOT NULL;

-- Photos are made small where they are taken; the id is made there too, so that sending one twice keeps one.
CREATE TABLE IF NOT EXISTS photo (
  id CHAR(36) PRIMARY KEY,
  dough_id INT UNSIGNED NOT NULL,
  step_key VARCHAR(80) NULL,
  at DATETIME(3) NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  type ENUM('image/jpeg', 'image/png', 'image/webp') NOT NULL,
  bytes MEDIUMBLOB NOT NULL,
  KEY photo_dough (dough_id, at),
  CONSTRAINT photo_dough FOREIGN KEY (dough_id) REFERENCES dough (id),
  CONSTRAINT photo_person FOREIGN KEY (person_id) REFERENCES person (id)
);
