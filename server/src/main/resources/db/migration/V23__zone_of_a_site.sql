-- In which clocks on its walls are read; null at sites from before, where it is the application's.
ALTER TABLE site ADD COLUMN zone VARCHAR(60);
