-- Places are added and taken out of use by the house, and so are the tokens of probes and scales.
ALTER TABLE place ADD COLUMN IF NOT EXISTS removed_at DATETIME(3) NULL;
ALTER TABLE device
  ADD COLUMN IF NOT EXISTS label VARCHAR(60) NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS made_at DATETIME(3) NULL,
  ADD COLUMN IF NOT EXISTS removed_at DATETIME(3) NULL;
