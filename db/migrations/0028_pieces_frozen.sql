-- Pieces of a dough that go to the freezer shaped, and batches whose pieces come out of it.
ALTER TABLE dough_output ADD COLUMN IF NOT EXISTS way ENUM('fresh', 'to-freezer', 'from-freezer') NOT NULL DEFAULT 'fresh';
-- What a dough has put into the freezer or taken out of it; none where somebody has counted the stock.
ALTER TABLE frozen_move ADD COLUMN IF NOT EXISTS dough_id INT UNSIGNED NULL;
ALTER TABLE frozen_move ADD KEY IF NOT EXISTS frozen_move_dough (dough_id);
