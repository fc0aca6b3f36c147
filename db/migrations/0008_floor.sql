-- Alarms are worked out from plan and events; only that somebody has taken one is a fact.
CREATE TABLE IF NOT EXISTS alarm_taken (
  alarm VARCHAR(160) PRIMARY KEY,
  at DATETIME(3) NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  KEY alarm_taken_at (at),
  CONSTRAINT alarm_taken_person FOREIGN KEY (person_id) REFERENCES person (id)
);

-- Outside of these for longer than that, a place is an alarm; null: no limit.
ALTER TABLE place
  ADD COLUMN IF NOT EXISTS alarm_low DECIMAL(5, 2) NULL,
  ADD COLUMN IF NOT EXISTS alarm_high DECIMAL(5, 2) NULL,
  ADD COLUMN IF NOT EXISTS alarm_minutes INT UNSIGNED NOT NULL DEFAULT 30;
UPDATE place SET alarm_high = 7 WHERE kind IN ('retarder', 'fridge') AND alarm_high IS NULL;
UPDATE place SET alarm_high = -12 WHERE kind IN ('freezer', 'blast') AND alarm_high IS NULL;
UPDATE place SET alarm_high = 33 WHERE kind = 'proofer' AND alarm_high IS NULL;

INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('preheat_lead', 45, 'min', 'How long before a load goes in the oven is to be heated.'),
  ('wash_lead', 10, 'min', 'How long before it is brushed on the wash is to be mixed.'),
  ('butter_lead', 5, 'min', 'How long before it is wanted the butter is to be taken out of the cold.');

-- How a bake came out: good, second and waste pieces.
ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix',
    'turn', 'check', 'weigh', 'scrap', 'count') NOT NULL;

-- What one shift says to the next, and who has read it.
CREATE TABLE IF NOT EXISTS handover (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  client_id CHAR(36) NOT NULL UNIQUE,
  at DATETIME(3) NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  words TEXT NOT NULL,
  KEY handover_at (at),
  CONSTRAINT handover_person FOREIGN KEY (person_id) REFERENCES person (id)
);
CREATE TABLE IF NOT EXISTS handover_read (
  handover_id INT UNSIGNED NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  at DATETIME(3) NOT NULL,
  PRIMARY KEY (handover_id, person_id),
  CONSTRAINT handover_read_handover FOREIGN KEY (handover_id) REFERENCES handover (id),
  CONSTRAINT handover_read_person FOREIGN KEY (person_id) REFERENCES person (id)
);
