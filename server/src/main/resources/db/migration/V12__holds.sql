-- something left alone for a while: kept here, so that it outlives a closed tablet and a restart
CREATE TABLE held (
    id              VARCHAR(36)  PRIMARY KEY,
    installation_id VARCHAR(36)  NOT NULL REFERENCES installation (id),
    point           VARCHAR(80)  NOT NULL,
    component       VARCHAR(60)  NOT NULL,
    witnessed       BOOLEAN      NOT NULL,
    started_by      VARCHAR(60)  NOT NULL,
    started_at      TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    ended_by        VARCHAR(60),
    ended_at        TIMESTAMP(3) WITH TIME ZONE,
    reading_id      VARCHAR(36)
);
CREATE INDEX held_of ON held (installation_id);
