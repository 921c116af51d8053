-- Whether a crew entered a reading in its record. Null for the inspection office, also in rows journalled before.
ALTER TABLE reading ADD COLUMN by_crew BOOLEAN;
