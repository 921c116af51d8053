-- How often an account was changed: who changes what they saw meets the change of another.
ALTER TABLE app_user ADD COLUMN version INT DEFAULT 0 NOT NULL;
