-- When a machine was taken out of use; plans and batches of before keep it.
ALTER TABLE machine ADD COLUMN IF NOT EXISTS removed_at DATETIME(3) NULL;
