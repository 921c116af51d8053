-- How each installation stood when it was last judged, and on which libraries that rests. Derived: it may be emptied at any time;
-- who changes an installation takes its row away.
CREATE TABLE standing (
    installation_id VARCHAR(36) NOT NULL PRIMARY KEY REFERENCES installation (id),
    rests_on VARCHAR(200) NOT NULL,
    stage VARCHAR(20) NOT NULL,
    visited_on DATE NOT NULL,
    -- place of the most pressing verdict among all, the most pressing first
    pressing INT NOT NULL,
    -- how many of each verdict, parted by spaces, in the same order
    counts VARCHAR(100) NOT NULL,
    readings INT NOT NULL
);
