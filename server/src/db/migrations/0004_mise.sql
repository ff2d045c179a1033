-- Mise: how the house preps, plans as they were drawn, and everything said of tasks, deliveries, counts and waste.
ALTER TABLE kitchen
  ADD COLUMN mise_policy JSON NULL,
  ADD COLUMN mise_policy_version INT NOT NULL DEFAULT 0;

CREATE TABLE mise_plan (
  kitchen_id VARCHAR(64) NOT NULL,
  id VARCHAR(90) NOT NULL,
  version INT NOT NULL,
  body JSON NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE mise_event (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  plan_id VARCHAR(90) NOT NULL,
  device_id VARCHAR(64) NOT NULL,
  kind VARCHAR(16) NOT NULL,
  -- What lots and counts are folded from: read by time, without the plans they belong to.
  is_stock BOOLEAN NOT NULL,
  at_ms BIGINT NOT NULL,
  counter INT NOT NULL,
  body JSON NOT NULL,
  received_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_plan (kitchen_id, plan_id, at_ms),
  KEY of_stock (kitchen_id, is_stock, at_ms),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);
