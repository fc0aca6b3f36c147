-- A dough, or a part of it, that is lost or spoilt.
ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix',
    'turn', 'check', 'weigh', 'scrap', 'count', 'marks', 'take', 'needle', 'move', 'deck', 'lost') NOT NULL;
