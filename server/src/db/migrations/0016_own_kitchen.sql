-- When a kitchen was begun: the sample kitchen, and those that were there before, count as the first.
ALTER TABLE kitchen ADD COLUMN begun_at_ms BIGINT NOT NULL DEFAULT 0;
