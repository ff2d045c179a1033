-- What thermometers speak, a lot's temperature as it was read, and what is said of a station: a wash is done by hand.
ALTER TABLE kitchen
  ADD COLUMN reads_in CHAR(1) NOT NULL DEFAULT 'C',
  ADD COLUMN is_scottish BOOLEAN NOT NULL DEFAULT FALSE;

ALTER TABLE rice_lot ADD COLUMN temp_f DOUBLE NULL;
