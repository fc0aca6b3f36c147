-- Formulas and products never change: an edit is a new version, and a dough keeps the version it was made from.
CREATE TABLE IF NOT EXISTS formula (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  name VARCHAR(80) NOT NULL UNIQUE
);

CREATE TABLE IF NOT EXISTS formula_version (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  formula_id INT UNSIGNED NOT NULL,
  version INT UNSIGNED NOT NULL,
  body JSON NOT NULL,
  created_at DATETIME(3) NOT NULL,
  UNIQUE KEY formula_version_once (formula_id, version),
  CONSTRAINT formula_version_formula FOREIGN KEY (formula_id) REFERENCES formula (id)
);

CREATE TABLE IF NOT EXISTS product (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  name VARCHAR(80) NOT NULL UNIQUE,
  -- What a dough of it is called, before its number: "Crescent 39".
  dough_name VARCHAR(40) NOT NULL
);

-- body: piece, route and freshFor of a ProductSpec (src/core/route/route.ts).
CREATE TABLE IF NOT EXISTS product_version (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  product_id INT UNSIGNED NOT NULL,
  version INT UNSIGNED NOT NULL,
  formula_version_id INT UNSIGNED NOT NULL,
  body JSON NOT NULL,
  created_at DATETIME(3) NOT NULL,
  UNIQUE KEY product_version_once (product_id, version),
  CONSTRAINT product_version_product FOREIGN KEY (product_id) REFERENCES product (id),
  CONSTRAINT product_version_formula FOREIGN KEY (formula_version_id) REFERENCES formula_version (id)
);
