-- What one person of a trip brings for others as well: a row of what everybody brings with somebody's name on it.
ALTER TABLE everybody_brings
	ADD COLUMN brought_by VARCHAR(64) COLLATE utf8mb4_bin NULL,
	ADD COLUMN for_ids TEXT NOT NULL DEFAULT '[]',
	ADD COLUMN litres DECIMAL(5, 1) NOT NULL DEFAULT 0,
	ADD COLUMN mass_g INT UNSIGNED NOT NULL DEFAULT 0,
	ADD CONSTRAINT brought_by_client FOREIGN KEY (brought_by) REFERENCES clients (id) ON DELETE SET NULL;
