-- The operator's own list of a trip, what everybody brings; and lines of a client's list that somebody wrote or changed by hand.

CREATE TABLE everybody_brings (
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	position SMALLINT UNSIGNED NOT NULL,
	what VARCHAR(120) NOT NULL,
	type_id VARCHAR(64) NULL,
	many SMALLINT UNSIGNED NOT NULL DEFAULT 1,
	why VARCHAR(200) NOT NULL DEFAULT '',
	PRIMARY KEY (trip_id, id),
	KEY everybody_in_order (trip_id, position),
	CONSTRAINT everybody_on_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
ALTER TABLE trips ADD COLUMN everybody_version INT UNSIGNED NOT NULL DEFAULT 0;

CREATE TABLE list_edits (
	trip_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	client_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	line_id VARCHAR(64) COLLATE utf8mb4_bin NOT NULL,
	what VARCHAR(120) NULL,
	many SMALLINT UNSIGNED NULL,
	is_off BOOLEAN NOT NULL DEFAULT FALSE,
	edited_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
	PRIMARY KEY (trip_id, client_id, line_id),
	CONSTRAINT edits_on_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT edits_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
