-- An oven has decks, each with its share of the trays; what a deck takes longer or shorter is learnt from the bakes in it.
ALTER TABLE machine ADD COLUMN IF NOT EXISTS decks INT UNSIGNED NOT NULL DEFAULT 1;
ALTER TABLE evidence
  MODIFY COLUMN kind ENUM('reference', 'rise', 'factor', 'bake') NOT NULL,
  DROP INDEX IF EXISTS evidence_once,
  ADD UNIQUE KEY evidence_once (event_id, kind, subject);

INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('bake_spread', 0.12, '', 'How far an oven or deck may be off the written minutes of a bake, to begin with: a share of them.'),
  ('bake_scatter', 0.07, '', 'How much bakes of one oven differ among each other: a share of their minutes.');

ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix',
    'turn', 'check', 'weigh', 'scrap', 'count', 'marks', 'take', 'needle', 'move', 'deck') NOT NULL;
