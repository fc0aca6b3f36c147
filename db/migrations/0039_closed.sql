-- A dough that is over though nobody recorded how it ended.
ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix',
    'turn', 'check', 'weigh', 'scrap', 'count', 'marks', 'take', 'needle', 'move', 'deck', 'lost', 'close') NOT NULL;
INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('catch_up_after', 45, 'min', 'After so long without a tap, the tablet asks once what was done.');
