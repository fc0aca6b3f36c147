-- Dividers, and racks, counted in the trays that they carry.
ALTER TABLE machine
  MODIFY COLUMN kind ENUM('mixer', 'bench', 'divider', 'sheeter', 'retarder', 'freezer', 'blast', 'proofer', 'oven', 'rack', 'tray',
  'tin') NOT NULL;
