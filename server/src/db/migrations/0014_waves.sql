-- When waves of orders come, and how long they stay; before, a boat came every so many minutes of the day.
ALTER TABLE kitchen ADD COLUMN waves JSON NULL;
UPDATE kitchen SET waves = JSON_OBJECT(
  'spans', JSON_ARRAY(JSON_OBJECT('weekdays', JSON_ARRAY(1, 2, 3, 4, 5, 6, 7), 'fromMin', 0, 'toMin', 1439, 'everyMin', GREATEST(5, boat_every_min))),
  'stayMin', 0) WHERE waves IS NULL;
ALTER TABLE kitchen MODIFY COLUMN boat_every_min INT NULL;
