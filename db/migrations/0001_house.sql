-- The bakery itself. One row of `house`; machines of one kind are pooled.
CREATE TABLE IF NOT EXISTS house (
  id TINYINT UNSIGNED PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  time_zone VARCHAR(64) NOT NULL,
  CONSTRAINT one_house CHECK (id = 1)
);

-- Thresholds and limits that a bakery may change.
CREATE TABLE IF NOT EXISTS house_value (
  name VARCHAR(60) PRIMARY KEY,
  value DOUBLE NOT NULL,
  unit VARCHAR(20) NOT NULL,
  note VARCHAR(200) NOT NULL
);

INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('reading_lowest', -35, 'C', 'A dough reading below this is a slip of the finger.'),
  ('reading_highest', 110, 'C', 'A dough reading above this is a slip of the finger; done brioche has 92, crescents 98.'),
  ('plan_days_ahead', 14, 'days', 'How far ahead a due time may lie.'),
  ('longest_note', 2000, 'characters', 'Longest note or reason.'),
  ('plan_seconds', 2, 's', 'How long the engine may look for a better plan when a dough is added.');

CREATE TABLE IF NOT EXISTS machine (
  id VARCHAR(40) PRIMARY KEY,
  label VARCHAR(60) NOT NULL,
  capacity INT UNSIGNED NOT NULL,
  unit VARCHAR(20) NOT NULL,
  kg_at_once DOUBLE NULL,
  changeover_minutes INT UNSIGNED NOT NULL DEFAULT 0,
  position INT UNSIGNED NOT NULL
);

CREATE TABLE IF NOT EXISTS person (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  name VARCHAR(60) NOT NULL UNIQUE,
  role ENUM('planner', 'baker') NOT NULL,
  team VARCHAR(40) NOT NULL,
  pin_hash VARCHAR(200) NOT NULL,
  active BOOLEAN NOT NULL DEFAULT TRUE
);

-- Weekly pattern in local minutes of the day; an end at or before the start is on the next day.
CREATE TABLE IF NOT EXISTS shift (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  person_id INT UNSIGNED NOT NULL,
  weekday TINYINT UNSIGNED NOT NULL,
  start_minute SMALLINT UNSIGNED NOT NULL,
  end_minute SMALLINT UNSIGNED NOT NULL,
  CONSTRAINT shift_person FOREIGN KEY (person_id) REFERENCES person (id),
  CONSTRAINT shift_weekday CHECK (weekday BETWEEN 1 AND 7),
  CONSTRAINT shift_minutes CHECK (start_minute < 1440 AND end_minute <= 1440)
);

-- Wrong PINs, by the machine's clock; right ones clear them.
CREATE TABLE IF NOT EXISTS wrong_pin (
  id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  person_id INT UNSIGNED NOT NULL,
  at DATETIME(3) NOT NULL,
  KEY wrong_pin_person (person_id, at),
  CONSTRAINT wrong_pin_person FOREIGN KEY (person_id) REFERENCES person (id)
);

CREATE TABLE IF NOT EXISTS secret (
  name VARCHAR(40) PRIMARY KEY,
  value VARCHAR(200) NOT NULL
);

-- No row: the machine's clock counts. With a row: the house runs on its own clock.
CREATE TABLE IF NOT EXISTS demo_clock (
  id TINYINT UNSIGNED PRIMARY KEY,
  shown_at DATETIME(3) NOT NULL,
  real_at DATETIME(3) NOT NULL,
  rate INT UNSIGNED NOT NULL,
  paused BOOLEAN NOT NULL,
  CONSTRAINT one_clock CHECK (id = 1)
);
