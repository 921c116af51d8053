-- What a visit is confined to: ids of its rule book's scopes, parted by spaces; nothing where it looks at the whole.
ALTER TABLE visit ADD COLUMN scopes VARCHAR(400);
