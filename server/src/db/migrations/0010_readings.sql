-- Whether a batch was asked for a reading of its rice, and what was read; which run a tasting was of.
ALTER TABLE run ADD COLUMN rice_reading VARCHAR(16) NULL, ADD COLUMN rice_read VARCHAR(8) NULL;
ALTER TABLE tasting ADD COLUMN run_id UUID NULL, ADD KEY by_run (kitchen_id, run_id);
