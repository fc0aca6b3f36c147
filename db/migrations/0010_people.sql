-- A helper ticks off what is done; a viewer is a screen on the wall that changes nothing.
ALTER TABLE person
  MODIFY COLUMN role ENUM('planner', 'baker', 'helper', 'viewer') NOT NULL,
  -- Sessions begun under an earlier number are over.
  ADD COLUMN IF NOT EXISTS session_epoch INT UNSIGNED NOT NULL DEFAULT 0;

INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('idle_minutes', 15, 'min', 'How long nobody touches a tablet until it only shows and no longer records; 0: never.');
