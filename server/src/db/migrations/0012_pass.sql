-- When a ticket was handed over at the pass; null while nobody said so.
ALTER TABLE ticket ADD COLUMN handed_over_at_ms BIGINT NULL;
