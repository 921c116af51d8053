-- Whether everything kept is journalled row by row; what an earlier version kept is taken into the journal once, at a start.
ALTER TABLE journal_head ADD COLUMN stock_taken BOOLEAN DEFAULT FALSE NOT NULL;
-- each fetch is written to the disk at once
ALTER TABLE reading ALTER COLUMN sequence SET CACHE 500;
ALTER TABLE journal ALTER COLUMN subject VARCHAR(200) NOT NULL;
-- What the journal says of one row is short: within the row it is written and read in a fraction of the time.
SET MAX_LENGTH_INPLACE_LOB 4096;
