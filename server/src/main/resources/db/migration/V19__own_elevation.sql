-- A tower and its cellar are one building: an installation has the height it stands at. Of older ones that is the building's.
ALTER TABLE installation ADD COLUMN elevation DOUBLE PRECISION;
