-- What a house begins with depends on how it mixes, and says so.
UPDATE house_value SET note =
  'By what mixing warms a dough, until it was measured. By hand 1 to 2 in all; planetary 0.15 a minute slow and 0.5 fast; spiral 0.25 and 0.7.'
WHERE name = 'mixing_rise';
