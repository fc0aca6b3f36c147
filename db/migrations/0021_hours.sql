-- Long curves are drawn from hours: every whole day of a place is summed up once, and anew where a reading of it comes late.
CREATE TABLE IF NOT EXISTS place_hour (
  place VARCHAR(40) NOT NULL,
  hour DATETIME NOT NULL,
  celsius DECIMAL(5, 2) NOT NULL,
  lowest DECIMAL(5, 2) NOT NULL,
  highest DECIMAL(5, 2) NOT NULL,
  humidity DOUBLE NULL,
  PRIMARY KEY (place, hour)
);
CREATE TABLE IF NOT EXISTS place_day (
  place VARCHAR(40) NOT NULL,
  day DATE NOT NULL,
  PRIMARY KEY (place, day)
);

-- What was taken back is asked for by what takes it back.
ALTER TABLE floor_event ADD KEY IF NOT EXISTS floor_event_undoes (undoes);
