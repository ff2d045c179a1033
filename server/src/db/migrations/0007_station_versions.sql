-- A station's plate and calibrations, in versions: a run can name the one that it was planned with.
CREATE TABLE station_version (
  kitchen_id VARCHAR(64) NOT NULL,
  station_id VARCHAR(64) NOT NULL,
  version INT NOT NULL,
  saved_at_ms BIGINT NOT NULL,
  staff_id VARCHAR(64) NULL,
  plate JSON NOT NULL,
  efficiency_error DOUBLE NOT NULL,
  calibrated_at_ms BIGINT NULL,
  readings JSON NULL,
  PRIMARY KEY (kitchen_id, station_id, version),
  FOREIGN KEY (kitchen_id, station_id) REFERENCES station (kitchen_id, id)
);
