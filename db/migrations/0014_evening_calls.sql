-- What has to be thought of hours before: the levain that is fed, the frozen pieces that thaw overnight.
INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('levain_lead', 30, 'min', 'How long before a levain or sponge is set it is called for: starter out of the cold, flour and water to hand.'),
  ('thaw_lead', 840, 'min', 'How long before they are due frozen pieces are to be taken out: a night in the cold, proof and bake.');
