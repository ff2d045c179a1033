CREATE TABLE kitchen (
  id VARCHAR(64) NOT NULL PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  time_zone VARCHAR(64) NOT NULL,
  locale VARCHAR(35) NOT NULL,
  rule_set VARCHAR(8) NOT NULL,
  tools JSON NOT NULL,
  boat_every_min INT NOT NULL,
  next_ticket_number INT NOT NULL DEFAULT 1,
  outbox_no BIGINT UNSIGNED NOT NULL DEFAULT 0
);

CREATE TABLE station (
  kitchen_id VARCHAR(64) NOT NULL,
  id VARCHAR(64) NOT NULL,
  name VARCHAR(120) NOT NULL,
  kind VARCHAR(16) NOT NULL,
  power_w DOUBLE NULL,
  cap_portions INT NOT NULL,
  position INT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE staff (
  kitchen_id VARCHAR(64) NOT NULL,
  id VARCHAR(64) NOT NULL,
  name VARCHAR(120) NOT NULL,
  role VARCHAR(16) NOT NULL,
  position INT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE rice_lot (
  kitchen_id VARCHAR(64) NOT NULL,
  id VARCHAR(64) NOT NULL,
  name VARCHAR(120) NOT NULL,
  grain VARCHAR(40) NOT NULL,
  cooked_at_ms BIGINT NOT NULL,
  mass_g DOUBLE NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

-- Every version of a dish is kept; the newest is the one in the book.
CREATE TABLE dish_version (
  kitchen_id VARCHAR(64) NOT NULL,
  dish_id VARCHAR(64) NOT NULL,
  version INT NOT NULL,
  body JSON NOT NULL,
  created_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, dish_id, version),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE ticket (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  number INT NOT NULL,
  source VARCHAR(8) NOT NULL,
  kind VARCHAR(8) NOT NULL,
  place VARCHAR(40) NOT NULL,
  placed_at_ms BIGINT NOT NULL,
  promised_at_ms BIGINT NOT NULL,
  is_cancelled BOOLEAN NOT NULL DEFAULT FALSE,
  -- Set when every portion is done or the ticket is cancelled: the line reads only open ones.
  is_open BOOLEAN NOT NULL DEFAULT TRUE,
  PRIMARY KEY (kitchen_id, id),
  KEY open_by_promise (kitchen_id, is_open, promised_at_ms),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE ticket_item (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  ticket_id UUID NOT NULL,
  position INT NOT NULL,
  dish_id VARCHAR(64) NOT NULL,
  portions INT NOT NULL,
  modifiers JSON NOT NULL,
  allergies JSON NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_ticket (kitchen_id, ticket_id, position),
  FOREIGN KEY (kitchen_id, ticket_id) REFERENCES ticket (kitchen_id, id)
);

CREATE TABLE ticket_event (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  ticket_id UUID NOT NULL,
  kind VARCHAR(16) NOT NULL,
  at_ms BIGINT NOT NULL,
  counter INT NOT NULL,
  received_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_ticket (kitchen_id, ticket_id),
  FOREIGN KEY (kitchen_id, ticket_id) REFERENCES ticket (kitchen_id, id)
);

CREATE TABLE run (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  dish_id VARCHAR(64) NOT NULL,
  dish_version INT NOT NULL,
  dish_name VARCHAR(120) NOT NULL,
  station_id VARCHAR(64) NOT NULL,
  cook_id VARCHAR(64) NULL,
  lot_id VARCHAR(64) NULL,
  portions INT NOT NULL,
  rice_mass_g DOUBLE NOT NULL,
  planned_s DOUBLE NOT NULL,
  fired_at_ms BIGINT NOT NULL,
  promised_at_ms BIGINT NOT NULL,
  hands_free BOOLEAN NOT NULL,
  is_unconfirmed BOOLEAN NOT NULL,
  twice_portions INT NOT NULL DEFAULT 0,
  modifiers JSON NOT NULL,
  allergies JSON NOT NULL,
  -- Numbers of its tickets, for lists and downloads.
  ticket_numbers JSON NOT NULL,
  score JSON NOT NULL,
  engine VARCHAR(16) NOT NULL,
  -- What the events come to, written again whenever one arrives.
  state VARCHAR(8) NOT NULL DEFAULT 'open',
  ended_at_ms BIGINT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY by_state (kitchen_id, state, station_id),
  KEY by_firing (kitchen_id, fired_at_ms, id),
  KEY by_lot (kitchen_id, lot_id, rice_mass_g),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE run_part (
  kitchen_id VARCHAR(64) NOT NULL,
  run_id UUID NOT NULL,
  item_id UUID NOT NULL,
  ticket_id UUID NOT NULL,
  portions INT NOT NULL,
  PRIMARY KEY (kitchen_id, run_id, item_id),
  KEY of_item (kitchen_id, item_id),
  KEY of_ticket (kitchen_id, ticket_id),
  FOREIGN KEY (kitchen_id, run_id) REFERENCES run (kitchen_id, id)
);

CREATE TABLE run_event (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  run_id UUID NOT NULL,
  device_id VARCHAR(64) NOT NULL,
  kind VARCHAR(16) NOT NULL,
  at_ms BIGINT NOT NULL,
  counter INT NOT NULL,
  body JSON NOT NULL,
  received_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_run (kitchen_id, run_id, at_ms),
  FOREIGN KEY (kitchen_id, run_id) REFERENCES run (kitchen_id, id)
);

-- What was said of a run that was over or unknown: refused with a message, and kept.
CREATE TABLE refused_event (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  run_id UUID NOT NULL,
  reason VARCHAR(32) NOT NULL,
  body JSON NOT NULL,
  received_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_run (kitchen_id, run_id)
);

CREATE TABLE feed (
  kitchen_id VARCHAR(64) NOT NULL PRIMARY KEY,
  is_on BOOLEAN NOT NULL DEFAULT FALSE,
  seed INT NOT NULL DEFAULT 1,
  started_at_ms BIGINT NULL,
  fed_until_ms BIGINT NULL,
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

-- Every committed change, numbered without gaps in order of commit: the number comes from the kitchen's row.
CREATE TABLE outbox (
  kitchen_id VARCHAR(64) NOT NULL,
  no BIGINT UNSIGNED NOT NULL,
  topic VARCHAR(16) NOT NULL,
  topic_key VARCHAR(64) NOT NULL,
  at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, no)
);
