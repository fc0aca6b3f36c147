-- A machine that broke and somebody who fell ill, as whoever was there reported it: known at once, and ended when it is over.
ALTER TABLE absence
  ADD COLUMN reported_by INT UNSIGNED NULL,
  ADD CONSTRAINT absence_reporter FOREIGN KEY (reported_by) REFERENCES person (id);
INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('outage_assumed', 12, 'h', 'A machine that is reported out is reckoned to be out for so long, until it is back.'),
  ('repairs_by_bakers', 1, '1', 'Bakers accept a repair of the plan while no planner is on shift: 1 yes, 0 no.');
