-- What came out of the freezer for an order stands for it: no dough has to make it, and it is in the freezer no more.
ALTER TABLE frozen_move ADD COLUMN IF NOT EXISTS for_due DATETIME(3) NULL;
