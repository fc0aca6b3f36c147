-- Lamination schemes are versioned as formulas are: a product version names the version it is laminated by.
CREATE TABLE IF NOT EXISTS scheme (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  name VARCHAR(80) NOT NULL UNIQUE,
  removed_at DATETIME(3) NULL
);

-- body: a Scheme (src/core/lamination/scheme.ts).
CREATE TABLE IF NOT EXISTS scheme_version (
  id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
  scheme_id INT UNSIGNED NOT NULL,
  version INT UNSIGNED NOT NULL,
  body JSON NOT NULL,
  created_at DATETIME(3) NOT NULL,
  made_by INT UNSIGNED NULL,
  client_id CHAR(36) NULL UNIQUE,
  UNIQUE KEY scheme_version_once (scheme_id, version),
  CONSTRAINT scheme_version_scheme FOREIGN KEY (scheme_id) REFERENCES scheme (id)
);

ALTER TABLE product_version
  ADD COLUMN IF NOT EXISTS scheme_version_id INT UNSIGNED NULL,
  ADD CONSTRAINT product_version_scheme FOREIGN KEY IF NOT EXISTS (scheme_version_id) REFERENCES scheme_version (id);

ALTER TABLE floor_event
  MODIFY COLUMN kind ENUM('start', 'finish', 'skip', 'temperature', 'note', 'undo', 'verdict', 'alive', 'conditions', 'mix',
    'turn', 'check', 'weigh', 'scrap') NOT NULL;

INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('sheeter_width', 58, 'cm', 'Widest sheet that the sheeter or the bench takes, a little less than its table.'),
  ('sheeter_length', 240, 'cm', 'Longest sheet on the sheeter’s table.'),
  ('bench_length', 200, 'cm', 'Longest sheet on the bench where it is cut.'),
  ('block_kg', 6, 'kg', 'Heaviest block of dough and butter that is rolled as one.'),
  ('gap_reduction', 0.4, 'share', 'Largest share of its thickness that a dough loses in one pass.'),
  ('gap_reduction_fine', 0.25, 'share', 'The same below 8 mm.'),
  ('gap_fine_below', 8, 'mm', 'Thinner than this the passes are gentler.'),
  ('gap_least', 1, 'mm', 'Smallest gap of the sheeter.'),
  ('butter_rim', 1.5, 'cm', 'Bare dough around a butter block.'),
  ('butter_seam', 1.5, 'cm', 'What a pinched seam takes.'),
  ('butter_ratio', 1.25, 'length/width', 'A butter block’s length against its width, where it need not be square.'),
  ('turn_trim', 0.5, 'cm', 'Cut off each ragged end before a fold.'),
  ('tray_length', 60, 'cm', 'Trays.'),
  ('tray_width', 40, 'cm', 'Trays.'),
  ('scrap_share', 0.12, 'share', 'Most of a dough that may be trimmings of an earlier one.'),
  ('scrap_hours', 48, 'h', 'Older trimmings do not go into a dough.'),
  ('honeycomb_merged', 8, 'um', 'Crescents and danish: thinner fat layers have merged.'),
  ('honeycomb_fine', 20, 'um', 'Crescents and danish: thinner fat layers eat like brioche.'),
  ('honeycomb_coarse', 120, 'um', 'Crescents and danish: fat layers this thick may leak.'),
  ('tender_merged', 4, 'um', 'Layered brioche: thinner fat layers have merged.'),
  ('tender_fine', 8, 'um', 'Layered brioche: thinner fat layers are very fine.'),
  ('tender_coarse', 260, 'um', 'Layered brioche: fat layers this thick may leak.'),
  ('discs_merged', 20, 'um', 'Stacked discs: thinner fat layers have merged.'),
  ('discs_fine', 60, 'um', 'Stacked discs: thinner fat layers are very fine.'),
  ('discs_coarse', 900, 'um', 'Stacked discs: fat layers this thick may leak.');
