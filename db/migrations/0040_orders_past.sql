-- Orders whose time has come, as they were then: what becomes of the standing order later changes nothing of them.
CREATE TABLE IF NOT EXISTS past_order (
  kind ENUM('standing', 'single') NOT NULL,
  source_id INT UNSIGNED NOT NULL,
  day DATE NOT NULL,
  customer_id INT UNSIGNED NOT NULL,
  product_id INT UNSIGNED NOT NULL,
  due_at DATETIME(3) NOT NULL,
  pieces INT UNSIGNED NOT NULL,
  PRIMARY KEY (kind, source_id, day),
  KEY past_order_due (due_at),
  CONSTRAINT past_order_customer FOREIGN KEY (customer_id) REFERENCES customer (id),
  CONSTRAINT past_order_product FOREIGN KEY (product_id) REFERENCES product (id)
);

-- What a customer was told of an order that goes short, by whom and when.
CREATE TABLE IF NOT EXISTS customer_told (
  kind ENUM('standing', 'single') NOT NULL,
  source_id INT UNSIGNED NOT NULL,
  day DATE NOT NULL,
  missing INT UNSIGNED NOT NULL,
  late INT UNSIGNED NOT NULL,
  late_until DATETIME(3) NULL,
  at DATETIME(3) NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  PRIMARY KEY (kind, source_id, day),
  CONSTRAINT customer_told_person FOREIGN KEY (person_id) REFERENCES person (id)
);
