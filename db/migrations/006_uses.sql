-- What a house uses types of the catalogue for, where it differs from the catalogue; by type.
ALTER TABLE houses ADD COLUMN uses JSON NOT NULL DEFAULT '{}';
