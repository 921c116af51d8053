-- What the register is sorted and filtered by besides. Derived, so it is emptied and made again.
DELETE FROM standing;
-- what is at stake, most first when falling
ALTER TABLE standing ADD COLUMN stake BIGINT NOT NULL;
-- the most pressing sentence in either unit system, empty where nothing is open
ALTER TABLE standing ADD COLUMN said_us VARCHAR(600) NOT NULL;
ALTER TABLE standing ADD COLUMN said_si VARCHAR(600) NOT NULL;
-- keys of the stations where something fails, each between commas
ALTER TABLE standing ADD COLUMN failing VARCHAR(400) NOT NULL;
