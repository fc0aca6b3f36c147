-- A planning act writes what it changes: a step's times hold from one plan version until another takes them over, and a
-- plan version is all times that hold in it. Plans of before this are no longer gone back to.
ALTER TABLE planned_step
  CHANGE COLUMN IF EXISTS plan_version_id since_version INT UNSIGNED NOT NULL,
  ADD COLUMN IF NOT EXISTS until_version INT UNSIGNED NULL,
  ADD KEY IF NOT EXISTS planned_step_since (since_version),
  ADD KEY IF NOT EXISTS planned_step_until (until_version);
DELETE FROM planned_step
  WHERE until_version IS NULL AND since_version < (SELECT MAX(id) FROM plan_version);
ALTER TABLE planned_step
  DROP PRIMARY KEY,
  ADD PRIMARY KEY (dough_id, step_key, since_version);
UPDATE plan_version SET act = 'base' WHERE id = (SELECT newest FROM (SELECT MAX(id) AS newest FROM plan_version) AS newest_plan);

-- One search per house at a time, whichever process it runs in; whoever dies in it loses it after some seconds.
CREATE TABLE IF NOT EXISTS search_lease (
  id TINYINT UNSIGNED PRIMARY KEY,
  holder CHAR(36) NOT NULL,
  person VARCHAR(60) NOT NULL,
  until_at DATETIME(3) NOT NULL,
  CONSTRAINT one_search CHECK (id = 1)
);
INSERT INTO search_lease (id, holder, person, until_at) VALUES (1, '', '', '2000-01-01')
  ON DUPLICATE KEY UPDATE id = id;

-- When which work of the house was done last, by whichever process.
CREATE TABLE IF NOT EXISTS upkeep (
  work VARCHAR(40) PRIMARY KEY,
  at DATETIME(3) NOT NULL
);

-- What a year of use asks for.
ALTER TABLE floor_event ADD KEY IF NOT EXISTS floor_event_kind (kind, at);
ALTER TABLE plan_proposal ADD KEY IF NOT EXISTS plan_proposal_open (decision, plan_version_id);
ALTER TABLE dough ADD KEY IF NOT EXISTS dough_removed (removed_at);
ALTER TABLE frozen_move ADD KEY IF NOT EXISTS frozen_move_at (product_id, at);
ALTER TABLE absence ADD KEY IF NOT EXISTS absence_end (end_at);
ALTER TABLE extra_shift ADD KEY IF NOT EXISTS extra_shift_end (end_at);
ALTER TABLE scale_reading ADD KEY IF NOT EXISTS scale_reading_at (at);
