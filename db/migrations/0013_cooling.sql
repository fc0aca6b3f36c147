INSERT IGNORE INTO house_value (name, value, unit, note) VALUES
  ('cooling_rule', 1, '', 'Cooling of cooked fillings: 1 for 65 to 10 °C within 2 h; 2 for 57 to 21 °C within 2 h and to 5 °C within 4 h more. The local code comes first.');
