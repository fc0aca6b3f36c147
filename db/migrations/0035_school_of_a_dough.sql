-- One dough may be proofed by another school than its product.
ALTER TABLE dough_change
  MODIFY COLUMN kind ENUM('longer', 'room-proof', 'cooler-room', 'split-bake', 'left-out', 'proof-school') NOT NULL;
