-- Where the cooks had been told to fry a run's first portions when it was fired; null where they had been told nothing of them.
ALTER TABLE run ADD COLUMN told_station_id VARCHAR(64) NULL;
-- What was said of the hands and the stations of an evening.
CREATE INDEX by_subject ON line_wish (kitchen_id, subject, at_ms);
