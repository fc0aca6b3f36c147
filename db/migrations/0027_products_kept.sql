-- When a product was taken out of use; doughs of it are made as planned. Who kept a version, where somebody did.
ALTER TABLE product ADD COLUMN IF NOT EXISTS removed_at DATETIME(3) NULL;
ALTER TABLE product_version ADD COLUMN IF NOT EXISTS person_id INT UNSIGNED NULL;
