-- what has parts (a run of tube, a terminal map) is longer than one figure
ALTER TABLE reading ALTER COLUMN typed VARCHAR(2000) NOT NULL;
