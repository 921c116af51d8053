-- everybody leaves: over every open device of a visit until a person takes it down with a reason
CREATE TABLE stop_notice (
    id              VARCHAR(36)   PRIMARY KEY,
    installation_id VARCHAR(36)   NOT NULL REFERENCES installation (id),
    judgement       VARCHAR(160)  NOT NULL,
    title           VARCHAR(300)  NOT NULL,
    finding         VARCHAR(1000) NOT NULL,
    orders          VARCHAR(1000) NOT NULL,
    raised_by       VARCHAR(60)   NOT NULL,
    raised_at       TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    down_by         VARCHAR(60),
    down_at         TIMESTAMP(3) WITH TIME ZONE,
    reason          VARCHAR(400)
);
CREATE INDEX stop_notice_of ON stop_notice (installation_id);
