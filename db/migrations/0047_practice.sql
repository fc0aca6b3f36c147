-- Nights to practise: apart from plan and log. A scene is kept as it opened, so that its review stays what it was.
CREATE TABLE IF NOT EXISTS practice_situation (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  client_id CHAR(36) NOT NULL UNIQUE,
  name VARCHAR(80) NOT NULL,
  brief VARCHAR(400) NOT NULL,
  body JSON NOT NULL,
  made_by INT UNSIGNED NOT NULL,
  made_at DATETIME(3) NOT NULL,
  removed_at DATETIME(3) NULL
);
CREATE TABLE IF NOT EXISTS practice_night (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  client_id CHAR(36) NOT NULL UNIQUE,
  person_id INT UNSIGNED NOT NULL,
  -- Which situation it is of: one that ships, one of the house, a batch.
  situation VARCHAR(80) NOT NULL,
  -- What its own bakery calls it; null for one that ships.
  name VARCHAR(120) NULL,
  opened_at DATETIME(3) NOT NULL,
  ended_at DATETIME(3) NULL,
  scene LONGTEXT NOT NULL,
  record LONGTEXT NOT NULL,
  good INT UNSIGNED NULL,
  possible INT UNSIGNED NULL,
  KEY practice_of (person_id, id)
);
