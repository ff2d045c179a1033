-- Scales show grams or ounces: what a mass is shown and typed in, never what it is kept in.
ALTER TABLE kitchen ADD COLUMN weighs_in VARCHAR(2) NOT NULL DEFAULT 'g';
