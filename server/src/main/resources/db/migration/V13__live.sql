-- what an instrument shows its door with; only its digest is kept
CREATE TABLE instrument_token (
    instrument VARCHAR(60) PRIMARY KEY REFERENCES instrument (id),
    digest     VARCHAR(64) NOT NULL UNIQUE,
    added_by   VARCHAR(60) NOT NULL,
    added_at   TIMESTAMP(3) WITH TIME ZONE NOT NULL
);

-- a line that takes what an instrument sends; gone once that is kept as a curve, or left
CREATE TABLE listening (
    id              VARCHAR(36)  PRIMARY KEY,
    installation_id VARCHAR(36)  NOT NULL REFERENCES installation (id),
    point           VARCHAR(80)  NOT NULL,
    component       VARCHAR(60)  NOT NULL,
    instrument      VARCHAR(60)  NOT NULL REFERENCES instrument (id),
    started_by      VARCHAR(60)  NOT NULL,
    started_at      TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    samples         BIGINT       NOT NULL,
    UNIQUE (installation_id, point, component)
);
CREATE INDEX listening_to ON listening (instrument);

CREATE TABLE live_sample (
    listening   VARCHAR(36)   NOT NULL,
    at          TIMESTAMP(3)  WITH TIME ZONE NOT NULL,
    shown_value DECIMAL(20, 6) NOT NULL,
    PRIMARY KEY (listening, at)
);
