CREATE TABLE IF NOT EXISTS dough (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  -- Made in the browser, so that a form sent twice makes one dough.
  client_id CHAR(36) NOT NULL UNIQUE,
  name VARCHAR(60) NOT NULL UNIQUE,
  created_at DATETIME(3) NOT NULL,
  created_by INT UNSIGNED NOT NULL,
  removed_at DATETIME(3) NULL,
  removed_by INT UNSIGNED NULL,
  CONSTRAINT dough_creator FOREIGN KEY (created_by) REFERENCES person (id)
);

CREATE TABLE IF NOT EXISTS dough_output (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  dough_id INT UNSIGNED NOT NULL,
  product_version_id INT UNSIGNED NOT NULL,
  pieces INT UNSIGNED NOT NULL,
  due_at DATETIME(3) NOT NULL,
  KEY dough_output_due (due_at),
  CONSTRAINT dough_output_dough FOREIGN KEY (dough_id) REFERENCES dough (id),
  CONSTRAINT dough_output_product FOREIGN KEY (product_version_id) REFERENCES product_version (id)
);

-- A plan is derived and replaceable; each version is whole, and says why it was made.
CREATE TABLE IF NOT EXISTS plan_version (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  made_at DATETIME(3) NOT NULL,
  made_by INT UNSIGNED NOT NULL,
  reason VARCHAR(200) NOT NULL,
  CONSTRAINT plan_version_maker FOREIGN KEY (made_by) REFERENCES person (id)
);

CREATE TABLE IF NOT EXISTS planned_step (
  plan_version_id INT UNSIGNED NOT NULL,
  dough_id INT UNSIGNED NOT NULL,
  step_key VARCHAR(80) NOT NULL,
  start_at DATETIME(3) NOT NULL,
  end_at DATETIME(3) NOT NULL,
  PRIMARY KEY (plan_version_id, dough_id, step_key),
  CONSTRAINT planned_step_plan FOREIGN KEY (plan_version_id) REFERENCES plan_version (id),
  CONSTRAINT planned_step_dough FOREIGN KEY (dough_id) REFERENCES dough (id)
);
