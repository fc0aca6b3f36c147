-- What a machine is, whatever it is called: routes ask for kinds, and a house may have several of one.
ALTER TABLE machine
  ADD COLUMN IF NOT EXISTS kind ENUM('mixer', 'bench', 'sheeter', 'retarder', 'freezer', 'blast', 'proofer', 'oven', 'tray', 'tin')
    NULL AFTER id,
  -- The least that one bowl of a mixer takes, kg.
  ADD COLUMN IF NOT EXISTS kg_least DOUBLE NULL AFTER unit,
  -- The place whose temperature it has inside.
  ADD COLUMN IF NOT EXISTS place_id VARCHAR(40) NULL;
UPDATE machine SET kind = id WHERE kind IS NULL;
ALTER TABLE machine MODIFY COLUMN kind ENUM('mixer', 'bench', 'sheeter', 'retarder', 'freezer', 'blast', 'proofer', 'oven', 'tray',
  'tin') NOT NULL;
UPDATE machine SET place_id = id WHERE place_id IS NULL AND id IN (SELECT id FROM place);

-- What a place is there for: dough, or the flour and the water of which mixing reckons the temperature.
ALTER TABLE place ADD COLUMN IF NOT EXISTS purpose ENUM('dough', 'flour', 'water') NOT NULL DEFAULT 'dough';
UPDATE place SET purpose = 'flour' WHERE id = 'flour';
UPDATE place SET purpose = 'water' WHERE id = 'tap';

-- Machines that a step was planned on, where it had a choice: their ids.
ALTER TABLE planned_step ADD COLUMN IF NOT EXISTS machines JSON NULL;

-- Routes name kinds of places, not one bakery's.
UPDATE product_version SET body = REPLACE(body, '"place":"bakery"', '"place":"room"');
