-- Commissioning records as they were handed in; what they say on lines of the walk is kept as readings too, under the same id.
CREATE TABLE commissioning_record (
    id              VARCHAR(36)  NOT NULL PRIMARY KEY,
    installation_id VARCHAR(36)  NOT NULL REFERENCES installation (id),
    signed_by       VARCHAR(120) NOT NULL,
    recorded_on     DATE         NOT NULL,
    coldest         DOUBLE PRECISION,
    warmest         DOUBLE PRECISION,
    brought_by      VARCHAR(60)  NOT NULL,
    brought_at      TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    released        BOOLEAN      NOT NULL,
    version         INT          NOT NULL
);
CREATE INDEX record_of_installation ON commissioning_record (installation_id);

-- Pages are of a PDF; a picture has none.
CREATE TABLE record_document (
    id         VARCHAR(36)  NOT NULL PRIMARY KEY,
    record_id  VARCHAR(36)  NOT NULL REFERENCES commissioning_record (id),
    name       VARCHAR(120) NOT NULL,
    media_type VARCHAR(40)  NOT NULL,
    sha256     VARCHAR(64)  NOT NULL,
    bytes      INT          NOT NULL,
    pages      INT,
    added_by   VARCHAR(60)  NOT NULL,
    added_at   TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    content    BLOB         NOT NULL
);
CREATE INDEX document_of_record ON record_document (record_id);

-- A time is as it stands on the paper, by the clock there. The box is drawn round the value on a document: shares of its page.
CREATE TABLE record_claim (
    sequence    BIGINT        GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    id          VARCHAR(36)   NOT NULL UNIQUE,
    record_id   VARCHAR(36)   NOT NULL REFERENCES commissioning_record (id),
    point       VARCHAR(80)   NOT NULL,
    component   VARCHAR(60)   NOT NULL,
    typed       VARCHAR(2000) NOT NULL,
    claimed_at  VARCHAR(16),
    instrument  VARCHAR(60),
    document_id VARCHAR(36)   REFERENCES record_document (id),
    page        INT,
    box_left    DOUBLE PRECISION,
    box_top     DOUBLE PRECISION,
    box_width   DOUBLE PRECISION,
    box_height  DOUBLE PRECISION
);
CREATE INDEX claim_of_record ON record_claim (record_id, sequence);

-- Readings are the ids of those that came with the answer, parted by spaces.
CREATE TABLE record_question (
    sequence    BIGINT        GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    id          VARCHAR(36)   NOT NULL UNIQUE,
    record_id   VARCHAR(36)   NOT NULL REFERENCES commissioning_record (id),
    check_id    VARCHAR(80)   NOT NULL,
    subject     VARCHAR(60)   NOT NULL,
    question    VARCHAR(2000) NOT NULL,
    asked_by    VARCHAR(60)   NOT NULL,
    asked_at    TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    answer      VARCHAR(2000),
    answered_by VARCHAR(60),
    answered_at TIMESTAMP(3) WITH TIME ZONE,
    readings    VARCHAR(2000) NOT NULL
);
CREATE INDEX question_of_record ON record_question (record_id, sequence);
