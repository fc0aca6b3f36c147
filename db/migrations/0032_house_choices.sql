-- In which units the house writes where a reader has chosen none, and which allergens it keeps apart; none where it was not said.
ALTER TABLE house
  ADD COLUMN IF NOT EXISTS units JSON NULL,
  ADD COLUMN IF NOT EXISTS apart JSON NULL;
