-- What was decided of the line: everything that was said, and the last word on each thing; and the orders that the cooks were told.
CREATE TABLE line_wish (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  subject VARCHAR(120) NOT NULL,
  wish JSON NOT NULL,
  at_ms BIGINT NOT NULL,
  received_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, id)
);
CREATE TABLE line_wish_now (
  kitchen_id VARCHAR(64) NOT NULL,
  subject VARCHAR(120) NOT NULL,
  wish JSON NOT NULL,
  at_ms BIGINT NOT NULL,
  is_of_a_day TINYINT NOT NULL,
  PRIMARY KEY (kitchen_id, subject)
);
CREATE TABLE line_order (
  kitchen_id VARCHAR(64) NOT NULL,
  no INT NOT NULL,
  told JSON NOT NULL,
  device_id VARCHAR(64) NOT NULL,
  made_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, no)
);
