-- What finished runs say of the model's seconds, and what the kitchen made of it by station and by dish.
CREATE TABLE run_lesson (
  kitchen_id VARCHAR(64) NOT NULL,
  run_id VARCHAR(64) NOT NULL,
  station_id VARCHAR(64) NOT NULL,
  station_version INT NOT NULL,
  dish_id VARCHAR(64) NOT NULL,
  at_ms BIGINT NOT NULL,
  planned_s DOUBLE NOT NULL,
  actual_s DOUBLE NOT NULL,
  factor DOUBLE NOT NULL,
  PRIMARY KEY (kitchen_id, run_id),
  KEY run_lesson_by_time (kitchen_id, at_ms),
  KEY run_lesson_by_station (kitchen_id, station_id, at_ms),
  KEY run_lesson_by_dish (kitchen_id, dish_id, at_ms)
);
CREATE TABLE learned (
  kitchen_id VARCHAR(64) NOT NULL,
  kind VARCHAR(8) NOT NULL,
  subject_id VARCHAR(64) NOT NULL,
  factor DOUBLE NOT NULL,
  runs INT NOT NULL,
  is_frozen TINYINT NOT NULL,
  since_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, kind, subject_id)
);
