-- A curve is named by the digest of its CSV; it is never changed.
CREATE TABLE trace (
    id              VARCHAR(36)  NOT NULL PRIMARY KEY,
    installation_id VARCHAR(36)  NOT NULL REFERENCES installation (id),
    sha256          VARCHAR(64)  NOT NULL,
    dimension       VARCHAR(40)  NOT NULL,
    unit            VARCHAR(20)  NOT NULL,
    from_at         TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    to_at           TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    samples         BIGINT       NOT NULL,
    least           DOUBLE PRECISION NOT NULL,
    most            DOUBLE PRECISION NOT NULL,
    resolution      DOUBLE PRECISION NOT NULL,
    added_by        VARCHAR(60)  NOT NULL,
    added_at        TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    UNIQUE (installation_id, sha256)
);

-- Its samples, some thousand to a row. Written before the curve's own row, whose digest is known only at the end.
CREATE TABLE trace_chunk (
    trace   VARCHAR(36)  NOT NULL,
    from_at TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    content BLOB         NOT NULL,
    PRIMARY KEY (trace, from_at)
);
