-- Whose it is and where, null where the register does not say.
ALTER TABLE installation ADD COLUMN owner VARCHAR(200);
ALTER TABLE installation ADD COLUMN address VARCHAR(300);

-- What the register finds an installation by besides, in small letters: serial numbers and models as read. Derived, so it is emptied
-- and made again.
DELETE FROM standing;
ALTER TABLE standing ADD COLUMN sought VARCHAR(2000) NOT NULL;
