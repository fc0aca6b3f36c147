-- A machine that still works and takes longer, and an oven of which one deck is out.
ALTER TABLE absence
  ADD COLUMN IF NOT EXISTS slower DOUBLE NULL,
  ADD COLUMN IF NOT EXISTS deck TINYINT UNSIGNED NULL;
