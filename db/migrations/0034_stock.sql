-- What is kept for later is not only pieces in the freezer: dough is kept cold or frozen as well, in grams. What is the same in stock
-- is one item: pieces of one product, or dough of one formula and scheme, whichever product it was made for.
RENAME TABLE frozen_move TO stock_move;
ALTER TABLE stock_move
  CHANGE COLUMN pieces amount INT NOT NULL,
  ADD COLUMN item VARCHAR(24) NOT NULL DEFAULT '' AFTER product_id,
  ADD COLUMN kind ENUM('pieces', 'cold-dough', 'frozen-dough') NOT NULL DEFAULT 'pieces' AFTER item,
  ADD COLUMN discarded BOOLEAN NOT NULL DEFAULT FALSE,
  ADD KEY stock_move_item (item, kind);
UPDATE stock_move SET item = CONCAT('p', product_id);
ALTER TABLE dough_output
  MODIFY COLUMN way ENUM(
    'fresh', 'to-freezer', 'from-freezer', 'dough-to-cold', 'dough-to-freezer', 'dough-from-cold', 'dough-from-freezer'
  ) NOT NULL DEFAULT 'fresh';
INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('pieces_keep', 30, 'days', 'How long shaped pieces keep in the freezer: two to six weeks.'),
  ('cold_dough_keeps', 48, 'h', 'How long a finished dough keeps in the cold: one to two days.'),
  ('frozen_dough_keeps', 21, 'days', 'How long a finished dough keeps in the freezer.');
