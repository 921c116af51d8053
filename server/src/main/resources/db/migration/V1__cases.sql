CREATE TABLE app_user (
    name          VARCHAR(60)  NOT NULL PRIMARY KEY,
    title         VARCHAR(120) NOT NULL,
    password_hash VARCHAR(200) NOT NULL,
    role          VARCHAR(20)  NOT NULL,
    crew          VARCHAR(120)
);

CREATE TABLE rule_book (
    id      VARCHAR(60)  NOT NULL,
    version INT          NOT NULL,
    title   VARCHAR(200) NOT NULL,
    yaml    CLOB         NOT NULL,
    PRIMARY KEY (id, version)
);

CREATE TABLE data_sheet (
    model   VARCHAR(120) NOT NULL PRIMARY KEY,
    content CLOB         NOT NULL
);

CREATE TABLE instrument (
    id      VARCHAR(60)  NOT NULL PRIMARY KEY,
    content CLOB         NOT NULL
);

CREATE TABLE site (
    id        VARCHAR(36)  NOT NULL PRIMARY KEY,
    name      VARCHAR(200) NOT NULL UNIQUE,
    elevation DOUBLE PRECISION NOT NULL
);

CREATE TABLE installation (
    id                VARCHAR(36)  NOT NULL PRIMARY KEY,
    reference         VARCHAR(40)  NOT NULL UNIQUE,
    site_id           VARCHAR(36)  NOT NULL REFERENCES site (id),
    title             VARCHAR(200) NOT NULL,
    system            VARCHAR(200) NOT NULL,
    crew              VARCHAR(120) NOT NULL,
    replacement       BOOLEAN      NOT NULL,
    rule_book         VARCHAR(60)  NOT NULL,
    rule_book_version INT          NOT NULL,
    version           INT          NOT NULL,
    FOREIGN KEY (rule_book, rule_book_version) REFERENCES rule_book (id, version)
);

CREATE TABLE component (
    installation_id VARCHAR(36)  NOT NULL REFERENCES installation (id),
    id              VARCHAR(40)  NOT NULL,
    kind            VARCHAR(20)  NOT NULL,
    title           VARCHAR(120) NOT NULL,
    own_supply      BOOLEAN      NOT NULL,
    place           INT          NOT NULL,
    PRIMARY KEY (installation_id, id)
);

CREATE TABLE visit (
    id              VARCHAR(36) NOT NULL PRIMARY KEY,
    installation_id VARCHAR(36) NOT NULL REFERENCES installation (id),
    stage           VARCHAR(20) NOT NULL,
    visited_on      DATE        NOT NULL
);

-- Append-only: a later row supersedes an earlier one of the same point, none is changed.
CREATE TABLE reading (
    sequence             BIGINT       GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    id                   VARCHAR(36)  NOT NULL UNIQUE,
    installation_id      VARCHAR(36)  NOT NULL REFERENCES installation (id),
    visit_id             VARCHAR(36)  NOT NULL REFERENCES visit (id),
    point                VARCHAR(80)  NOT NULL,
    component            VARCHAR(40)  NOT NULL,
    typed                VARCHAR(400) NOT NULL,
    si                   DOUBLE PRECISION,
    standard_uncertainty DOUBLE PRECISION,
    resolution           DOUBLE PRECISION,
    unit                 VARCHAR(20)  NOT NULL,
    instrument           VARCHAR(60)  REFERENCES instrument (id),
    grade                VARCHAR(20)  NOT NULL,
    entered_by           VARCHAR(60)  NOT NULL,
    entered_at           TIMESTAMP(3) WITH TIME ZONE NOT NULL
);
CREATE INDEX reading_of_installation ON reading (installation_id, sequence);

CREATE TABLE correction (
    id              VARCHAR(36)   NOT NULL PRIMARY KEY,
    number          INT           NOT NULL,
    installation_id VARCHAR(36)   NOT NULL REFERENCES installation (id),
    requirement     VARCHAR(80)   NOT NULL,
    component       VARCHAR(40)   NOT NULL,
    what            VARCHAR(400)  NOT NULL,
    finding         VARCHAR(1000) NOT NULL,
    limits          VARCHAR(2000) NOT NULL,
    words           VARCHAR(2000) NOT NULL,
    due             DATE,
    state           VARCHAR(20)   NOT NULL,
    raised_by       VARCHAR(60)   NOT NULL,
    raised_at       TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    version         INT           NOT NULL
);
CREATE INDEX correction_of_installation ON correction (installation_id);

-- Append-only and hash-chained: each row's hash covers the one before it.
CREATE TABLE journal (
    sequence BIGINT       NOT NULL PRIMARY KEY,
    at       TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    by_whom  VARCHAR(60)  NOT NULL,
    action   VARCHAR(60)  NOT NULL,
    subject  VARCHAR(120) NOT NULL,
    content  CLOB         NOT NULL,
    hash     VARCHAR(64)  NOT NULL
);
CREATE TABLE journal_head (
    id       INT         NOT NULL PRIMARY KEY,
    sequence BIGINT      NOT NULL,
    hash     VARCHAR(64) NOT NULL
);
INSERT INTO journal_head (id, sequence, hash) VALUES (1, 0, '');
