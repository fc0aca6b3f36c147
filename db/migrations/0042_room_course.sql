-- What somebody expects of a room on a day, °C; the last word on a day counts.
CREATE TABLE IF NOT EXISTS room_day (
  place VARCHAR(40) NOT NULL,
  day DATE NOT NULL,
  coolest DECIMAL(4,1) NOT NULL,
  warmest DECIMAL(4,1) NOT NULL,
  at DATETIME(3) NOT NULL,
  person_id INT UNSIGNED NOT NULL,
  PRIMARY KEY (place, day),
  CONSTRAINT room_day_place FOREIGN KEY (place) REFERENCES place (id),
  CONSTRAINT room_day_person FOREIGN KEY (person_id) REFERENCES person (id)
);

-- How warm it is outdoors, from a weather file; a newer file takes the place of an older one hour by hour.
CREATE TABLE IF NOT EXISTS outdoors (
  at DATETIME(3) NOT NULL PRIMARY KEY,
  celsius DECIMAL(4,1) NOT NULL
);

INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('typed_outlasts', 60, 'min', 'A typed temperature counts against newer readings of the probe for so long.'),
  ('room_follows', 0.5, 'share', 'Of what changes outdoors, so much is felt in the room.'),
  ('room_lag', 3, 'h', 'What changes outdoors is felt in the room so much later.'),
  ('levain_lowest', 8, '°C', 'Levain: below this it does not rise.'),
  ('levain_best', 32, '°C', 'Levain: here it rises fastest.'),
  ('levain_highest', 40, '°C', 'Levain: above this it does not rise.');

-- How long a rise that was looked at really was, and how warm in the mean: what it says at other temperatures follows.
ALTER TABLE evidence ADD COLUMN IF NOT EXISTS minutes DOUBLE NULL, ADD COLUMN IF NOT EXISTS celsius DOUBLE NULL;
