-- Probes in doughs are called what bakers call them; a name that somebody gave them stays.
UPDATE place SET label = REPLACE(label, 'Needle ', 'Core probe ') WHERE label IN ('Needle 1', 'Needle 2');
