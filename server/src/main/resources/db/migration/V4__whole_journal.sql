-- Whether everything kept is journalled row by row; what an earlier version kept is taken into the journal once, at a start.
ALTER TABLE journal_head ADD COLUMN stock_taken BOOLEAN DEFAULT FALSE NOT NULL;
ALTER TABLE journal ALTER COLUMN subject VARCHAR(200) NOT NULL;
