-- An account that is switched off stays, for what it has done, and signs in no more.
ALTER TABLE app_user ADD COLUMN active BOOLEAN DEFAULT TRUE NOT NULL;
