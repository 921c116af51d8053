-- What joins or serves the units of an installation and cannot be told from them.
CREATE TABLE subject (
    installation_id VARCHAR(36) NOT NULL REFERENCES installation (id),
    id VARCHAR(60) NOT NULL,
    kind VARCHAR(20) NOT NULL,
    title VARCHAR(120) NOT NULL,
    -- ids of units, parted by spaces
    joins VARCHAR(1000) NOT NULL,
    place INT NOT NULL,
    removed BOOLEAN DEFAULT FALSE NOT NULL,
    PRIMARY KEY (installation_id, id)
);

-- What is told from a unit is named by its kind and that unit.
ALTER TABLE reading ALTER COLUMN component VARCHAR(60) NOT NULL;
ALTER TABLE correction ALTER COLUMN component VARCHAR(60) NOT NULL;
ALTER TABLE photo ALTER COLUMN component VARCHAR(60);
