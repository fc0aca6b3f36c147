-- Steps that a planner has fixed, acts that can be undone, and changes that wait for somebody to accept them.
ALTER TABLE planned_step ADD COLUMN IF NOT EXISTS pinned BOOLEAN NOT NULL DEFAULT FALSE;

-- act: 'plan' can be undone; 'base' cannot, nor what came before it. of_version: what was undone or done again.
ALTER TABLE plan_version
  ADD COLUMN IF NOT EXISTS act ENUM('plan', 'base', 'undo', 'redo') NOT NULL DEFAULT 'plan',
  ADD COLUMN IF NOT EXISTS before_id INT UNSIGNED NULL,
  ADD COLUMN IF NOT EXISTS of_version INT UNSIGNED NULL,
  ADD COLUMN IF NOT EXISTS dough_id INT UNSIGNED NULL,
  ADD COLUMN IF NOT EXISTS dough_act ENUM('added', 'removed') NULL;

-- Where a dough leaves its route: see DoughChange (src/core/route/changes.ts).
CREATE TABLE IF NOT EXISTS dough_change (
  dough_id INT UNSIGNED NOT NULL,
  kind ENUM('longer', 'room-proof', 'split-bake') NOT NULL,
  target VARCHAR(80) NOT NULL,
  PRIMARY KEY (dough_id, kind, target),
  CONSTRAINT dough_change_dough FOREIGN KEY (dough_id) REFERENCES dough (id)
);

-- body: times, changes and costs of a ProposalBody (src/core/floor/proposal.ts).
CREATE TABLE IF NOT EXISTS plan_proposal (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  plan_version_id INT UNSIGNED NOT NULL,
  made_at DATETIME(3) NOT NULL,
  made_by INT UNSIGNED NOT NULL,
  kind ENUM('mend', 'way-out', 'better') NOT NULL,
  title VARCHAR(200) NOT NULL,
  body JSON NOT NULL,
  decision ENUM('accepted', 'dropped') NULL,
  decided_at DATETIME(3) NULL,
  decided_by INT UNSIGNED NULL,
  CONSTRAINT plan_proposal_plan FOREIGN KEY (plan_version_id) REFERENCES plan_version (id),
  CONSTRAINT plan_proposal_maker FOREIGN KEY (made_by) REFERENCES person (id)
);

INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('stay_cost', 3, 'per minute', 'What moving a hands-on step by a minute counts when a plan is mended; a minute late counts 20.'),
  ('pass_shift_minutes', 0, 'min', 'Mends that move no step by more than this pass by themselves; 0: somebody accepts every one.'),
  ('late_matters', 10, 'min', 'How far behind a step may be before the plan is said to need mending.');

-- Exceptions from the weekly pattern: a shift more, or somebody or some machine that is not there.
CREATE TABLE IF NOT EXISTS extra_shift (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  person_id INT UNSIGNED NOT NULL,
  start_at DATETIME(3) NOT NULL,
  end_at DATETIME(3) NOT NULL,
  note VARCHAR(200) NOT NULL DEFAULT '',
  CONSTRAINT extra_shift_person FOREIGN KEY (person_id) REFERENCES person (id),
  CONSTRAINT extra_shift_span CHECK (start_at < end_at)
);

CREATE TABLE IF NOT EXISTS absence (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  person_id INT UNSIGNED NULL,
  machine_id VARCHAR(40) NULL,
  -- How many of a machine's units are out; all of them where nothing is said.
  units INT UNSIGNED NULL,
  start_at DATETIME(3) NOT NULL,
  end_at DATETIME(3) NOT NULL,
  note VARCHAR(200) NOT NULL DEFAULT '',
  -- The event of a calendar it came from, so that reading the file again changes nothing.
  source VARCHAR(255) NULL UNIQUE,
  CONSTRAINT absence_person FOREIGN KEY (person_id) REFERENCES person (id),
  CONSTRAINT absence_machine FOREIGN KEY (machine_id) REFERENCES machine (id),
  CONSTRAINT absence_span CHECK (start_at < end_at)
);

CREATE TABLE IF NOT EXISTS person_skill (
  person_id INT UNSIGNED NOT NULL,
  skill ENUM('mix', 'laminate', 'shape', 'bake', 'finish') NOT NULL,
  PRIMARY KEY (person_id, skill),
  CONSTRAINT person_skill_person FOREIGN KEY (person_id) REFERENCES person (id)
);

-- What customers want.
CREATE TABLE IF NOT EXISTS customer (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  name VARCHAR(80) NOT NULL UNIQUE
);

CREATE TABLE IF NOT EXISTS standing_order (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  customer_id INT UNSIGNED NOT NULL,
  product_id INT UNSIGNED NOT NULL,
  weekday TINYINT UNSIGNED NOT NULL,
  due_minute SMALLINT UNSIGNED NOT NULL,
  pieces INT UNSIGNED NOT NULL,
  UNIQUE KEY standing_order_once (customer_id, product_id, weekday, due_minute),
  CONSTRAINT standing_order_customer FOREIGN KEY (customer_id) REFERENCES customer (id),
  CONSTRAINT standing_order_product FOREIGN KEY (product_id) REFERENCES product (id),
  CONSTRAINT standing_order_weekday CHECK (weekday BETWEEN 1 AND 7)
);

-- Another number for one day; 0 cancels it there.
CREATE TABLE IF NOT EXISTS standing_change (
  standing_order_id INT UNSIGNED NOT NULL,
  day DATE NOT NULL,
  pieces INT UNSIGNED NOT NULL,
  PRIMARY KEY (standing_order_id, day),
  CONSTRAINT standing_change_order FOREIGN KEY (standing_order_id) REFERENCES standing_order (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS single_order (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  client_id CHAR(36) NOT NULL UNIQUE,
  customer_id INT UNSIGNED NOT NULL,
  product_id INT UNSIGNED NOT NULL,
  due_at DATETIME(3) NOT NULL,
  pieces INT UNSIGNED NOT NULL,
  cancelled_at DATETIME(3) NULL,
  KEY single_order_due (due_at),
  CONSTRAINT single_order_customer FOREIGN KEY (customer_id) REFERENCES customer (id),
  CONSTRAINT single_order_product FOREIGN KEY (product_id) REFERENCES product (id)
);

CREATE TABLE IF NOT EXISTS closed_day (
  day DATE PRIMARY KEY,
  note VARCHAR(120) NOT NULL DEFAULT ''
);

-- Shaped pieces in the freezer: what went in and came out.
CREATE TABLE IF NOT EXISTS frozen_move (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  product_id INT UNSIGNED NOT NULL,
  pieces INT NOT NULL,
  at DATETIME(3) NOT NULL,
  note VARCHAR(200) NOT NULL DEFAULT '',
  CONSTRAINT frozen_move_product FOREIGN KEY (product_id) REFERENCES product (id)
);

-- Private addresses of calendars; null: the whole plan.
CREATE TABLE IF NOT EXISTS calendar_address (
  token_hash CHAR(64) PRIMARY KEY,
  person_id INT UNSIGNED NULL,
  made_by INT UNSIGNED NOT NULL,
  made_at DATETIME(3) NOT NULL,
  CONSTRAINT calendar_address_person FOREIGN KEY (person_id) REFERENCES person (id)
);
