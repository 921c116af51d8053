-- Ids of the readings that came with an answer, parted by spaces.
ALTER TABLE record_question ADD COLUMN readings VARCHAR(2000) DEFAULT '' NOT NULL;
