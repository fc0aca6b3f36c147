-- What a bakery knows of its ingredients. body: an Ingredient (src/core/formula/ingredient.ts) without its id.
CREATE TABLE IF NOT EXISTS ingredient (
  id VARCHAR(60) PRIMARY KEY,
  name VARCHAR(80) NOT NULL UNIQUE,
  body JSON NOT NULL,
  removed_at DATETIME(3) NULL
);

ALTER TABLE formula_version
  ADD COLUMN IF NOT EXISTS note VARCHAR(200) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS made_by INT UNSIGNED NULL,
  ADD COLUMN IF NOT EXISTS client_id CHAR(36) NULL UNIQUE;

-- What was recorded besides a temperature or words: an EventData (src/core/floor/events.ts).
ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix') NOT NULL,
  ADD COLUMN IF NOT EXISTS data JSON NULL;

-- Rooms, cold stores, proofer, oven: what they usually have, and what cannot be true of them.
CREATE TABLE IF NOT EXISTS place (
  id VARCHAR(40) PRIMARY KEY,
  label VARCHAR(60) NOT NULL,
  kind ENUM('room', 'fridge', 'retarder', 'freezer', 'blast', 'proofer', 'oven') NOT NULL,
  usual DOUBLE NOT NULL,
  lowest DOUBLE NOT NULL,
  highest DOUBLE NOT NULL,
  position INT UNSIGNED NOT NULL
);

INSERT IGNORE INTO place (id, label, kind, usual, lowest, highest, position) VALUES
  ('bakery', 'Bakery', 'room', 22, 5, 45, 0),
  ('retarder', 'Retarder', 'fridge', 4, -8, 25, 1),
  ('freezer', 'Freezer', 'freezer', -18, -45, 12, 2),
  ('proofer', 'Proofer', 'proofer', 26, 5, 60, 3),
  ('oven', 'Oven', 'oven', 185, 5, 320, 4),
  ('flour', 'Flour store', 'room', 20, -5, 45, 5),
  ('tap', 'Tap water', 'room', 13, 0, 40, 6);

ALTER TABLE place_reading
  ADD COLUMN IF NOT EXISTS source ENUM('probe', 'typed') NOT NULL DEFAULT 'probe',
  ADD COLUMN IF NOT EXISTS person_id INT UNSIGNED NULL,
  ADD COLUMN IF NOT EXISTS humidity DOUBLE NULL,
  -- Why it is not believed; null where it is.
  ADD COLUMN IF NOT EXISTS doubt VARCHAR(120) NULL;

-- Probes and scales that may send: the SHA-256 of each one's token.
CREATE TABLE IF NOT EXISTS device (
  id VARCHAR(40) PRIMARY KEY,
  kind ENUM('probes', 'scale') NOT NULL,
  token_hash CHAR(64) NOT NULL
);

CREATE TABLE IF NOT EXISTS scale_reading (
  id CHAR(36) PRIMARY KEY,
  device_id VARCHAR(40) NOT NULL,
  at DATETIME(3) NOT NULL,
  grams DOUBLE NOT NULL,
  KEY scale_reading_last (device_id, at),
  CONSTRAINT scale_reading_device FOREIGN KEY (device_id) REFERENCES device (id)
);

-- What the house learns from: minutes at the reference temperature with a verdict, a rise or a friction factor.
CREATE TABLE IF NOT EXISTS evidence (
  id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  -- The event it came from; an undo of it takes the evidence back too. Null for what was there before the log.
  event_id CHAR(36) NULL,
  kind ENUM('reference', 'rise', 'factor') NOT NULL,
  -- "product/phase" for a reference, "mixer/formula" for a rise or factor.
  subject VARCHAR(80) NOT NULL,
  value DOUBLE NOT NULL,
  verdict ENUM('under', 'right', 'over') NULL,
  dough_id INT UNSIGNED NULL,
  at DATETIME(3) NOT NULL,
  UNIQUE KEY evidence_once (event_id, kind),
  KEY evidence_subject (kind, subject, at)
);

-- A person leaves a piece of evidence out, or takes it in again; the last word counts.
CREATE TABLE IF NOT EXISTS evidence_word (
  id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  evidence_id BIGINT UNSIGNED NOT NULL,
  declined BOOLEAN NOT NULL,
  at DATETIME(3) NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  KEY evidence_word_of (evidence_id, id),
  CONSTRAINT evidence_word_evidence FOREIGN KEY (evidence_id) REFERENCES evidence (id)
);

INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('mixing_rise', 6, 'C', 'By what mixing warms a dough, to begin with: spiral, 10 min.'),
  ('mixing_rise_spread', 2.5, 'C', 'How unsure that is.'),
  ('friction_factor', 18, 'C', 'Factor of the factor rule, to begin with.'),
  ('friction_factor_spread', 7, 'C', 'How unsure that is.'),
  ('thermometer_error', 1, 'C', 'How far off a thermometer at the bench is.'),
  ('warmest_liquid', 43, 'C', 'Hotter liquid harms the yeast.'),
  ('ice', -10, 'C', 'Ice as it comes from its box.'),
  ('fridge_goods', 5, 'C', 'Milk, eggs and butter as they come from the cold.'),
  ('scale_coarse', 1, 'g', 'What the scale shows.'),
  ('scale_fine', 0.1, 'g', 'What the fine scale shows, for yeast and salt.'),
  ('probe_holds', 2, 'h', 'A probe that has been silent for longer is not believed.'),
  ('typed_holds', 12, 'h', 'A temperature that was typed holds for so long.'),
  ('most_bowls', 4, 'bowls', 'More bowls of one dough than this would age apart.'),
  ('salt_low', 1.6, '%', 'Usual salt, of flour.'),
  ('salt_high', 2.4, '%', 'Usual salt, of flour.'),
  ('sugar_low', 5, '%', 'Usual sugar, of flour.'),
  ('sugar_high', 20, '%', 'Usual sugar, of flour.'),
  ('yeast_low', 0.7, '%', 'Usual yeast, as instant, of flour.'),
  ('yeast_high', 2.5, '%', 'Usual yeast, as instant, of flour.'),
  ('hydration_low', 42, '%', 'Usual hydration.'),
  ('hydration_high', 62, '%', 'Usual hydration.'),
  ('roll_in_low', 22, '%', 'Usual roll-in, of the dough before butter.'),
  ('roll_in_high', 35, '%', 'Usual roll-in, of the dough before butter.'),
  ('osmotolerant_from', 12, '%', 'Above this much sugar ordinary yeast is slowed.'),
  ('rich_low', 24, '%', 'Fat of flour from which a dough counts as rich.'),
  ('rich_high', 66, '%', 'More fat of flour than this is unusual.');
