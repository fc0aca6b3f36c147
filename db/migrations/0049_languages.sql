-- What a person reads; without one, what the tablet reads that they are at.
ALTER TABLE person ADD COLUMN IF NOT EXISTS language CHAR(2) NULL;
-- What is kept with a change is kept as a message and its values, so that everybody reads it in their own language.
ALTER TABLE plan_version MODIFY reason TEXT NOT NULL;
ALTER TABLE plan_proposal MODIFY title TEXT NOT NULL;
ALTER TABLE audit MODIFY subject TEXT NOT NULL;
ALTER TABLE place_reading MODIFY doubt VARCHAR(600) NULL;
