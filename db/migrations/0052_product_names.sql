-- How a product is called in each language that the bakery wants a name of its own in: one piece and several.
ALTER TABLE product ADD COLUMN IF NOT EXISTS names JSON NULL;
