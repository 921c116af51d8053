-- what was done while a line listens; it becomes the marks of the curve that is kept
CREATE TABLE live_mark (
    listening VARCHAR(36)  NOT NULL,
    at        TIMESTAMP(3) WITH TIME ZONE NOT NULL,
    act       VARCHAR(20)  NOT NULL,
    marked_by VARCHAR(60)  NOT NULL,
    PRIMARY KEY (listening, at, act)
);
