-- Who says what: people with a PIN, devices that an owner let in, and who was signed in at each of them, when.
ALTER TABLE staff
  ADD COLUMN pin_hash VARCHAR(200) NULL,
  ADD COLUMN is_gone BOOLEAN NOT NULL DEFAULT FALSE;
-- The first lead answers for the kitchen.
UPDATE staff
  JOIN (SELECT kitchen_id, MIN(position) AS position FROM staff WHERE role = 'lead' GROUP BY kitchen_id) AS first_lead
    ON first_lead.kitchen_id = staff.kitchen_id AND first_lead.position = staff.position
   SET staff.role = 'owner' WHERE staff.role = 'lead';
ALTER TABLE kitchen ADD COLUMN recovery_hash VARCHAR(200) NULL;

CREATE TABLE paired_device (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  name VARCHAR(120) NOT NULL,
  place VARCHAR(120) NOT NULL,
  paired_at_ms BIGINT NOT NULL,
  paired_by VARCHAR(64) NULL,
  shut_out_at_ms BIGINT NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

-- A row for each time that somebody signs in or out at a device; the newest is the one that holds.
CREATE TABLE device_session (
  token_hash CHAR(64) NOT NULL PRIMARY KEY,
  kitchen_id VARCHAR(64) NOT NULL,
  device_id UUID NOT NULL,
  staff_id VARCHAR(64) NULL,
  role VARCHAR(16) NULL,
  started_at_ms BIGINT NOT NULL,
  ended_at_ms BIGINT NULL,
  -- Whether the device has shown its token: until then the one before it still opens the door, without a person.
  is_used BOOLEAN NOT NULL DEFAULT FALSE,
  KEY of_device (kitchen_id, device_id, started_at_ms),
  FOREIGN KEY (kitchen_id, device_id) REFERENCES paired_device (kitchen_id, id)
);

CREATE TABLE pairing_code (
  code_hash CHAR(64) NOT NULL PRIMARY KEY,
  kitchen_id VARCHAR(64) NOT NULL,
  made_by VARCHAR(64) NULL,
  until_ms BIGINT NOT NULL,
  used_at_ms BIGINT NULL,
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE pin_try (
  kitchen_id VARCHAR(64) NOT NULL,
  device_id UUID NOT NULL,
  staff_id VARCHAR(64) NOT NULL,
  failed INT NOT NULL,
  wait_until_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, device_id, staff_id)
);

-- Who changed what answers for safety or money; rows are only added.
CREATE TABLE audit (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  at_ms BIGINT NOT NULL,
  staff_id VARCHAR(64) NULL,
  device_id UUID NULL,
  what VARCHAR(32) NOT NULL,
  subject VARCHAR(160) NOT NULL,
  was VARCHAR(400) NULL,
  became VARCHAR(400) NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY by_time (kitchen_id, at_ms, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

-- What somebody said who was not allowed to: the lead takes it or leaves it.
CREATE TABLE kept_aside (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  body_hash CHAR(64) NOT NULL,
  device_id UUID NOT NULL,
  staff_id VARCHAR(64) NULL,
  path VARCHAR(200) NOT NULL,
  body LONGTEXT NOT NULL,
  kept_at_ms BIGINT NOT NULL,
  decided_at_ms BIGINT NULL,
  decided_by VARCHAR(64) NULL,
  is_taken BOOLEAN NULL,
  PRIMARY KEY (kitchen_id, id),
  UNIQUE KEY once (kitchen_id, device_id, body_hash),
  KEY undecided (kitchen_id, decided_at_ms, kept_at_ms),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);
