-- A rise in a cooler corner of the room is one more way out.
ALTER TABLE dough_change
  MODIFY COLUMN kind ENUM('longer', 'room-proof', 'cooler-room', 'split-bake') NOT NULL;
