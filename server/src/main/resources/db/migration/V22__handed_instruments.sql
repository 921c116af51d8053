-- The crew that the office handed an instrument to; null where the office alone hears it.
ALTER TABLE instrument_token ADD COLUMN crew VARCHAR(120);
