-- Whether the event that taught it counts is worked out once, when something is undone, and by the rule of the log itself.
ALTER TABLE evidence ADD COLUMN IF NOT EXISTS undone BOOLEAN NOT NULL DEFAULT FALSE;
UPDATE evidence e SET undone = EXISTS (
  SELECT 1 FROM floor_event u WHERE u.undoes = e.event_id AND u.kind = 'undo'
    AND NOT EXISTS (SELECT 1 FROM floor_event r WHERE r.undoes = u.id AND r.kind = 'undo'));
