-- What one person of a trip brings for others as well: a row of what everybody brings, with who brings it and who is meant.
ALTER TABLE everybody_brings
	-- for those who are named, and not for everybody on the trip
	ADD COLUMN is_for_some BOOLEAN NOT NULL DEFAULT FALSE,
	ADD COLUMN litres DECIMAL(5, 1) NOT NULL DEFAULT 0,
	ADD COLUMN mass_g INT UNSIGNED NOT NULL DEFAULT 0;

CREATE TABLE brought_for_others (
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	row_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	-- who brings it; the others are those whom it is brought for
	brings BOOLEAN NOT NULL,
	PRIMARY KEY (trip_id, row_id, client_id),
	CONSTRAINT brought_row FOREIGN KEY (trip_id, row_id) REFERENCES everybody_brings (trip_id, id) ON DELETE CASCADE,
	CONSTRAINT brought_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
