-- What thermometers speak, a lot's temperature as it was read, and what is said of a station: a wash is done by hand.
ALTER TABLE kitchen
  ADD COLUMN reads_in CHAR(1) NOT NULL DEFAULT 'C',
  ADD COLUMN is_scottish BOOLEAN NOT NULL DEFAULT FALSE;

ALTER TABLE rice_lot ADD COLUMN temp_f DOUBLE NULL;

ALTER TABLE ticket_item ADD COLUMN allowed_by VARCHAR(64) NULL;
ALTER TABLE run
  ADD COLUMN marks JSON NULL,
  ADD COLUMN washed_at_ms BIGINT NULL;

CREATE TABLE station_event (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  station_id VARCHAR(64) NOT NULL,
  kind VARCHAR(16) NOT NULL,
  device_id VARCHAR(64) NOT NULL,
  staff_id VARCHAR(64) NULL,
  at_ms BIGINT NOT NULL,
  received_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_station (kitchen_id, station_id, at_ms),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);
