-- A step that can be left out is left out of one dough.
ALTER TABLE dough_change
  MODIFY COLUMN kind ENUM('longer', 'room-proof', 'cooler-room', 'split-bake', 'left-out') NOT NULL;
