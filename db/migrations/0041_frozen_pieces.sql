-- Pieces that went into the freezer, by the count of whoever bagged them.
ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix',
    'turn', 'check', 'weigh', 'scrap', 'count', 'marks', 'take', 'needle', 'move', 'deck', 'lost', 'close', 'bag') NOT NULL;
