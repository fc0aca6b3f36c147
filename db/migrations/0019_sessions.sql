-- A device that a planner has let in; without one of these nobody's name is shown and no PIN is checked.
CREATE TABLE IF NOT EXISTS tablet (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  name VARCHAR(60) NOT NULL,
  token_hash CHAR(64) NOT NULL UNIQUE,
  enrolled_at DATETIME(3) NOT NULL,
  -- Null: by the code of the command line, or by itself in the demo.
  enrolled_by INT UNSIGNED NULL,
  removed_at DATETIME(3) NULL,
  CONSTRAINT tablet_enroller FOREIGN KEY (enrolled_by) REFERENCES person (id)
);

-- Codes that let one device in, once, for some minutes.
CREATE TABLE IF NOT EXISTS tablet_code (
  code_hash CHAR(64) PRIMARY KEY,
  made_at DATETIME(3) NOT NULL,
  made_by INT UNSIGNED NULL,
  CONSTRAINT tablet_code_maker FOREIGN KEY (made_by) REFERENCES person (id)
);

-- Who is signed in where. The cookie holds only a token; whether it counts is decided here, at every look.
CREATE TABLE IF NOT EXISTS session (
  id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  token_hash CHAR(64) NOT NULL UNIQUE,
  person_id INT UNSIGNED NOT NULL,
  tablet_id INT UNSIGNED NOT NULL,
  began_at DATETIME(3) NOT NULL,
  seen_at DATETIME(3) NOT NULL,
  -- Nobody has touched the tablet for long: it shows, and records nothing.
  resting BOOLEAN NOT NULL DEFAULT FALSE,
  ended_at DATETIME(3) NULL,
  -- The session that this browser had before; it ends when this one is first used, so that an answer that is lost on its
  -- way signs nobody out.
  replaces BIGINT UNSIGNED NULL,
  KEY session_open (person_id, ended_at),
  CONSTRAINT session_person FOREIGN KEY (person_id) REFERENCES person (id),
  CONSTRAINT session_tablet FOREIGN KEY (tablet_id) REFERENCES tablet (id)
);

-- PINs tried and not known to be right, by what is being guessed at ("tablet/3/person/7", "tablet/3", "code").
CREATE TABLE IF NOT EXISTS guess (
  subject VARCHAR(60) PRIMARY KEY,
  tries INT UNSIGNED NOT NULL,
  -- No try is checked before this.
  next_at DATETIME(3) NOT NULL,
  at DATETIME(3) NOT NULL
);
DROP TABLE IF EXISTS wrong_pin;

ALTER TABLE person
  -- The PIN was hashed with the pepper that lies outside the database.
  ADD COLUMN IF NOT EXISTS pin_peppered BOOLEAN NOT NULL DEFAULT FALSE,
  DROP COLUMN IF EXISTS session_epoch;

-- The key of sessions lies outside the database now.
DROP TABLE IF EXISTS secret;

-- Who changed what of the house, with what it was and what it is.
CREATE TABLE IF NOT EXISTS audit (
  id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  at DATETIME(3) NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  session_id BIGINT UNSIGNED NULL,
  command VARCHAR(40) NOT NULL,
  subject VARCHAR(160) NOT NULL,
  was JSON NULL,
  becomes JSON NULL,
  KEY audit_at (at),
  CONSTRAINT audit_person FOREIGN KEY (person_id) REFERENCES person (id)
);
CREATE OR REPLACE TRIGGER audit_stays BEFORE UPDATE ON audit
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was changed by whom is not changed.';
CREATE OR REPLACE TRIGGER audit_is_kept BEFORE DELETE ON audit
  FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was changed by whom is not deleted.';

-- Addresses of calendars end with the person who made them, and can be withdrawn.
ALTER TABLE calendar_address ADD COLUMN IF NOT EXISTS id INT UNSIGNED NOT NULL AUTO_INCREMENT UNIQUE FIRST;
