-- What a shift need not know of: a repair leaves such steps where they are, and does not list them where it cannot.
INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('small_shift', 5, 'min', 'A repair leaves steps where they are that it would move by less than this.');
