-- Visits of one day are told apart by the order they were begun in.
ALTER TABLE visit ADD COLUMN sequence BIGINT GENERATED ALWAYS AS IDENTITY;

-- A sheet is never changed: a later version of the same model is kept beside it, and judged by.
ALTER TABLE data_sheet ADD COLUMN version INT DEFAULT 1 NOT NULL;
ALTER TABLE data_sheet ADD COLUMN added_by VARCHAR(60) DEFAULT '' NOT NULL;
ALTER TABLE data_sheet ADD COLUMN added_at TIMESTAMP(3) WITH TIME ZONE DEFAULT TIMESTAMP WITH TIME ZONE '1970-01-01 00:00:00+00:00' NOT NULL;
ALTER TABLE data_sheet DROP PRIMARY KEY;
ALTER TABLE data_sheet ADD PRIMARY KEY (model, version);

ALTER TABLE instrument ADD COLUMN version INT DEFAULT 1 NOT NULL;

CREATE TABLE certificate (
    instrument VARCHAR(60)  NOT NULL REFERENCES instrument (id),
    sha256     VARCHAR(64)  NOT NULL,
    media_type VARCHAR(60)  NOT NULL,
    added_by   VARCHAR(60)  NOT NULL,
    added_at   TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    content    BLOB         NOT NULL,
    PRIMARY KEY (instrument, sha256)
);

-- The last version of a drawing stands; earlier ones are kept.
CREATE TABLE site_plan (
    installation_id VARCHAR(36) NOT NULL REFERENCES installation (id),
    version         INT         NOT NULL,
    content         CLOB        NOT NULL,
    drawn_by        VARCHAR(60) NOT NULL,
    drawn_at        TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    PRIMARY KEY (installation_id, version)
);

CREATE TABLE photo (
    sequence        BIGINT       GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    id              VARCHAR(36)  NOT NULL UNIQUE,
    installation_id VARCHAR(36)  NOT NULL REFERENCES installation (id),
    point           VARCHAR(80),
    component       VARCHAR(40),
    correction_id   VARCHAR(36)  REFERENCES correction (id),
    sha256          VARCHAR(64)  NOT NULL,
    media_type      VARCHAR(60)  NOT NULL,
    width           INT          NOT NULL,
    height          INT          NOT NULL,
    taken_at        TIMESTAMP(3) WITH TIME ZONE,
    latitude        DOUBLE PRECISION,
    longitude       DOUBLE PRECISION,
    added_by        VARCHAR(60)  NOT NULL,
    added_at        TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    content         BLOB         NOT NULL,
    thumbnail       BLOB         NOT NULL
);
CREATE INDEX photo_of_installation ON photo (installation_id, sequence);
