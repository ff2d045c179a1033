-- Rice from the day before to the wok: vessels, places, lots as events, what runs drew, past demand, plans and the probe.
ALTER TABLE kitchen
  ADD COLUMN next_lot_number INT NOT NULL DEFAULT 1,
  ADD COLUMN rice_policy JSON NULL,
  ADD COLUMN rice_policy_version INT NOT NULL DEFAULT 0;

CREATE TABLE rice_vessel (
  kitchen_id VARCHAR(64) NOT NULL,
  id VARCHAR(64) NOT NULL,
  name VARCHAR(120) NOT NULL,
  method VARCHAR(16) NOT NULL,
  volume_l DOUBLE NOT NULL,
  count INT NOT NULL,
  steam_g_per_min DOUBLE NOT NULL,
  loads_weighed INT NOT NULL DEFAULT 0,
  position INT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE rice_place (
  kitchen_id VARCHAR(64) NOT NULL,
  id VARCHAR(64) NOT NULL,
  name VARCHAR(120) NOT NULL,
  kind VARCHAR(16) NOT NULL,
  air_temp_c DOUBLE NULL,
  trays INT NOT NULL,
  position INT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

ALTER TABLE rice_lot
  ADD COLUMN number INT NOT NULL DEFAULT 0 AFTER name,
  ADD COLUMN origin VARCHAR(8) NOT NULL DEFAULT 'cooked' AFTER grain,
  ADD COLUMN born_at_ms BIGINT NOT NULL DEFAULT 0 AFTER origin,
  MODIFY COLUMN cooked_at_ms BIGINT NULL,
  MODIFY COLUMN mass_g DOUBLE NULL,
  ADD COLUMN temp_c DOUBLE NULL,
  ADD COLUMN place VARCHAR(16) NULL,
  ADD COLUMN place_id VARCHAR(64) NULL,
  ADD COLUMN rule_set VARCHAR(8) NOT NULL DEFAULT 'us',
  ADD COLUMN `load` JSON NULL,
  -- What the events come to, written again whenever one arrives; lists read only these.
  ADD COLUMN stage VARCHAR(12) NOT NULL DEFAULT 'ready',
  ADD COLUMN left_g DOUBLE NOT NULL DEFAULT 0,
  ADD COLUMN use_by_ms BIGINT NULL,
  ADD COLUMN ended_at_ms BIGINT NULL,
  ADD COLUMN end_reason VARCHAR(16) NULL,
  ADD COLUMN is_open BOOLEAN NOT NULL DEFAULT TRUE,
  ADD KEY open_lots (kitchen_id, is_open, stage),
  ADD KEY by_birth (kitchen_id, born_at_ms, id);

UPDATE rice_lot SET number = CAST(SUBSTRING(id, 3) AS INT), born_at_ms = cooked_at_ms, temp_c = 4, place = 'fridge',
  left_g = mass_g;
UPDATE rice_lot SET rule_set = (SELECT rule_set FROM kitchen WHERE kitchen.id = rice_lot.kitchen_id);
UPDATE kitchen SET next_lot_number =
  1 + COALESCE((SELECT MAX(number) FROM rice_lot WHERE rice_lot.kitchen_id = kitchen.id), 0);

CREATE TABLE rice_event (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  lot_id VARCHAR(64) NOT NULL,
  device_id VARCHAR(64) NOT NULL,
  kind VARCHAR(16) NOT NULL,
  at_ms BIGINT NOT NULL,
  counter INT NOT NULL,
  body JSON NOT NULL,
  received_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_lot (kitchen_id, lot_id, at_ms),
  FOREIGN KEY (kitchen_id, lot_id) REFERENCES rice_lot (kitchen_id, id)
);

-- What each run drew from which lot: read from both ends.
CREATE TABLE run_lot (
  kitchen_id VARCHAR(64) NOT NULL,
  run_id UUID NOT NULL,
  lot_id VARCHAR(64) NOT NULL,
  mass_g DOUBLE NOT NULL,
  PRIMARY KEY (kitchen_id, run_id, lot_id),
  KEY of_lot (kitchen_id, lot_id, run_id),
  FOREIGN KEY (kitchen_id, run_id) REFERENCES run (kitchen_id, id),
  FOREIGN KEY (kitchen_id, lot_id) REFERENCES rice_lot (kitchen_id, id)
);
INSERT INTO run_lot (kitchen_id, run_id, lot_id, mass_g)
  SELECT kitchen_id, id, lot_id, rice_mass_g FROM run WHERE lot_id IS NOT NULL;
INSERT INTO rice_event (kitchen_id, id, lot_id, device_id, kind, at_ms, counter, body, received_at_ms)
  SELECT kitchen_id, id, lot_id, 'server', 'used', fired_at_ms, 0,
         JSON_OBJECT('id', id, 'lotId', lot_id, 'deviceId', 'server', 'atMs', fired_at_ms, 'counter', 0,
                     'kind', 'used', 'runId', id, 'massG', rice_mass_g), fired_at_ms
    FROM run WHERE lot_id IS NOT NULL;
UPDATE rice_lot SET left_g = GREATEST(0, mass_g - COALESCE(
  (SELECT SUM(run_lot.mass_g) FROM run_lot
    WHERE run_lot.kitchen_id = rice_lot.kitchen_id AND run_lot.lot_id = rice_lot.id), 0));
ALTER TABLE run DROP KEY by_lot, DROP COLUMN lot_id;

-- Portions asked for, by day, twenty-minute slot and dish: a past day is written once, from tickets or from a file.
CREATE TABLE rice_demand (
  kitchen_id VARCHAR(64) NOT NULL,
  day DATE NOT NULL,
  minute INT NOT NULL,
  dish_id VARCHAR(64) NOT NULL,
  portions DOUBLE NOT NULL,
  source VARCHAR(8) NOT NULL,
  PRIMARY KEY (kitchen_id, day, minute, dish_id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);
ALTER TABLE ticket ADD KEY by_promise (kitchen_id, promised_at_ms), ADD KEY by_number (kitchen_id, number);

CREATE TABLE rice_plan (
  kitchen_id VARCHAR(64) NOT NULL,
  day DATE NOT NULL,
  version INT NOT NULL,
  body JSON NOT NULL,
  PRIMARY KEY (kitchen_id, day),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE probe (
  kitchen_id VARCHAR(64) NOT NULL PRIMARY KEY,
  lot_id VARCHAR(64) NULL,
  fault VARCHAR(8) NOT NULL,
  seed INT NOT NULL,
  since_ms BIGINT NULL,
  read_at_ms BIGINT NULL,
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

-- What was said of a lot and could not be taken: refused with a message, and kept.
CREATE TABLE rice_refused_event (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  lot_id VARCHAR(64) NOT NULL,
  reason VARCHAR(32) NOT NULL,
  body JSON NOT NULL,
  received_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, id)
);
