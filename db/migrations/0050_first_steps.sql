-- When somebody was shown what their role does here; null until then. Who has signed in before knows it.
ALTER TABLE person ADD COLUMN IF NOT EXISTS guided_at DATETIME(3) NULL;
UPDATE person SET guided_at = UTC_TIMESTAMP(3)
WHERE guided_at IS NULL AND EXISTS (SELECT 1 FROM session WHERE session.person_id = person.id);
