-- Where somebody wants letters sent, and which.
CREATE TABLE mail_choice (
  name VARCHAR(60) PRIMARY KEY REFERENCES app_user (name),
  address VARCHAR(254) NOT NULL,
  kinds VARCHAR(200) NOT NULL,
  version INT NOT NULL
);

-- A letter on its way to somebody.
CREATE TABLE delivery (
  id VARCHAR(36) PRIMARY KEY,
  message_id VARCHAR(36) NOT NULL REFERENCES message (id),
  name VARCHAR(60) NOT NULL REFERENCES app_user (name),
  state VARCHAR(20) NOT NULL,
  tries INT NOT NULL,
  since TIMESTAMP(3) WITH TIME ZONE NOT NULL,
  due_at TIMESTAMP(3) WITH TIME ZONE,
  said VARCHAR(300) NOT NULL
);
CREATE INDEX delivery_due ON delivery (due_at);
CREATE INDEX delivery_of ON delivery (message_id);
