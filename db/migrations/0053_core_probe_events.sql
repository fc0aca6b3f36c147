-- A thermometer in a dough is called a core probe, in what was recorded too: its fact is `probe`, and means what it meant.
ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix',
    'turn', 'check', 'weigh', 'scrap', 'count', 'marks', 'take', 'needle', 'move', 'deck', 'lost', 'close', 'bag', 'probe')
    NOT NULL;
DROP TRIGGER IF EXISTS floor_event_stays;
UPDATE floor_event
  SET kind = 'probe', data = JSON_OBJECT('kind', 'probed', 'probe', JSON_VALUE(data, '$.needle'))
  WHERE kind = 'needle';
CREATE OR REPLACE TRIGGER floor_event_stays BEFORE UPDATE ON floor_event
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What happened is not changed; record another event.';
ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix',
    'turn', 'check', 'weigh', 'scrap', 'count', 'marks', 'take', 'move', 'deck', 'lost', 'close', 'bag', 'probe') NOT NULL;

-- A device that already sends readings goes on under the id that it knows.
UPDATE place SET id = REPLACE(id, 'needle-', 'core-')
  WHERE id IN ('needle-1', 'needle-2')
    AND NOT EXISTS (SELECT 1 FROM place_reading r WHERE r.place = place.id)
    AND NOT EXISTS (SELECT 1 FROM floor_event e WHERE e.kind = 'probe' AND JSON_VALUE(e.data, '$.probe') = place.id);
