-- refrigerants that were brought in beside those that ship with the application
CREATE TABLE refrigerant (
    name     VARCHAR(20)  PRIMARY KEY,
    content  CLOB         NOT NULL,
    added_by VARCHAR(60)  NOT NULL,
    added_at TIMESTAMP(3) WITH TIME ZONE NOT NULL
);
