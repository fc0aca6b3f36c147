-- Backups that were made and read back, so that whoever plans sees when the last good one was.
CREATE TABLE IF NOT EXISTS backup (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  made_at DATETIME(3) NOT NULL,
  name VARCHAR(60) NOT NULL,
  bytes BIGINT UNSIGNED NOT NULL,
  sealed BOOLEAN NOT NULL
);
