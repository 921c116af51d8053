-- What is at stake; empty for corrections raised before this was kept.
ALTER TABLE correction ADD COLUMN severity VARCHAR(20);

-- Append-only: what was said and done about a correction, in order.
CREATE TABLE correction_step (
    sequence      BIGINT        GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    id            VARCHAR(36)   NOT NULL UNIQUE,
    correction_id VARCHAR(36)   NOT NULL REFERENCES correction (id),
    kind          VARCHAR(20)   NOT NULL,
    words         VARCHAR(2000) NOT NULL,
    -- ids of readings that came with it, parted by spaces
    readings      VARCHAR(1000) NOT NULL,
    by_whom       VARCHAR(60)   NOT NULL,
    at            TIMESTAMP(3) WITH TIME ZONE NOT NULL
);
CREATE INDEX step_of_correction ON correction_step (correction_id, sequence);

CREATE TABLE attachment (
    sequence      BIGINT       GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    id            VARCHAR(36)  NOT NULL UNIQUE,
    correction_id VARCHAR(36)  NOT NULL REFERENCES correction (id),
    name          VARCHAR(120) NOT NULL,
    media_type    VARCHAR(60)  NOT NULL,
    sha256        VARCHAR(64)  NOT NULL,
    bytes         INT          NOT NULL,
    added_by      VARCHAR(60)  NOT NULL,
    added_at      TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    content       BLOB         NOT NULL
);
CREATE INDEX attachment_of_correction ON attachment (correction_id, sequence);

-- Arrows and circles over a photo, which itself stays as it is; the last version stands.
CREATE TABLE photo_marks (
    photo_id VARCHAR(36)   NOT NULL REFERENCES photo (id),
    version  INT           NOT NULL,
    marks    VARCHAR(4000) NOT NULL,
    drawn_by VARCHAR(60)   NOT NULL,
    drawn_at TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    PRIMARY KEY (photo_id, version)
);

-- Letters that would have gone out: nothing is sent from here.
CREATE TABLE message (
    sequence        BIGINT       GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    id              VARCHAR(36)  NOT NULL UNIQUE,
    installation_id VARCHAR(36)  NOT NULL REFERENCES installation (id),
    -- whose it is: a crew's name, or empty for the inspection office
    crew            VARCHAR(120) NOT NULL,
    subject         VARCHAR(300) NOT NULL,
    written_at      TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    content         CLOB         NOT NULL
);

-- Nobody was told that it would be. Null for visits that were agreed, also in rows journalled before.
ALTER TABLE visit ADD COLUMN unannounced BOOLEAN;
-- The number it was sealed under, once it was.
ALTER TABLE visit ADD COLUMN sealed_as VARCHAR(60);

-- A visit as it stood when it was done: a ZIP of the case with its signed hash tree. Never changed.
CREATE TABLE seal (
    sequence        BIGINT       GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    number          VARCHAR(60)  NOT NULL UNIQUE,
    installation_id VARCHAR(36)  NOT NULL REFERENCES installation (id),
    visit_id        VARCHAR(36)  NOT NULL UNIQUE REFERENCES visit (id),
    root            VARCHAR(64)  NOT NULL,
    fingerprint     VARCHAR(16)  NOT NULL,
    anchor_sequence BIGINT       NOT NULL,
    anchor_hash     VARCHAR(64)  NOT NULL,
    sealed_by       VARCHAR(60)  NOT NULL,
    sealed_at       TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    content         BLOB         NOT NULL
);
CREATE INDEX seal_of_installation ON seal (installation_id, sequence);

-- A trial of a rule book looks at a few points of many installations.
CREATE INDEX reading_by_point ON reading (point, installation_id);
-- So that a stretch of installations is found together.
CREATE INDEX visit_of_installation ON visit (installation_id, sequence);

-- The secret of somebody's second factor, base32; null where they have none.
ALTER TABLE app_user ADD COLUMN second_factor VARCHAR(64);
