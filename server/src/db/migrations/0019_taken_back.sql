-- A wash, a wipe or a brush that was said by mistake is taken back: it stays in the log, with the word that took it back.
ALTER TABLE station_event ADD COLUMN undone_by UUID NULL;
