-- How a formula is called in each language that the bakery wants a name of its own in; as with products, of two equal forms.
ALTER TABLE formula ADD COLUMN IF NOT EXISTS names JSON NULL;
