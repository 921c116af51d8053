-- Photos that are kept here anyway are left out of a seal's content and put in again when it is handed out.
ALTER TABLE seal ADD COLUMN apart BOOLEAN DEFAULT FALSE NOT NULL;
CREATE INDEX photo_by_digest ON photo (sha256);
