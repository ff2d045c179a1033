-- What guests and cooks complained of: of a run, of a ticket, or of a whole evening (of one dish, or of all). What was said by
-- mistake is taken back and stays.
CREATE TABLE complaint (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  what VARCHAR(24) NOT NULL,
  run_id UUID NULL,
  ticket_id UUID NULL,
  day DATE NULL,
  -- The day in the kitchen's zone as it was when it was said.
  day_from_ms BIGINT NULL,
  day_to_ms BIGINT NULL,
  dish_id VARCHAR(64) NULL,
  staff_id VARCHAR(64) NULL,
  at_ms BIGINT NOT NULL,
  taken_back_at_ms BIGINT NULL,
  taken_back_by VARCHAR(64) NULL,
  received_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY by_time (kitchen_id, at_ms),
  KEY by_run (kitchen_id, run_id),
  KEY by_ticket (kitchen_id, ticket_id),
  KEY by_day (kitchen_id, day_from_ms),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

-- Runs of a dish, newest first, however seldom it is sold.
ALTER TABLE run ADD KEY by_dish (kitchen_id, dish_id, fired_at_ms, id);
