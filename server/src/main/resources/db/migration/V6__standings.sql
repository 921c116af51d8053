-- How each installation stood when it was last judged, and of what that was judged. Derived: it may be emptied at any time.
CREATE TABLE standing (
    installation_id VARCHAR(36) NOT NULL PRIMARY KEY REFERENCES installation (id),
    judged_of VARCHAR(300) NOT NULL,
    -- place of the most pressing verdict among all, the most pressing first
    pressing INT NOT NULL,
    -- how many of each verdict, parted by spaces, in the same order
    counts VARCHAR(100) NOT NULL,
    readings INT NOT NULL
);
CREATE INDEX visit_of_installation ON visit (installation_id, sequence);
