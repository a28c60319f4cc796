-- What a guide wishes of a client's plan on a trip, and the plan as it was last worked out in the background. A plan is
-- wanted, being worked out by one process, or there; which question it answers is told by a fingerprint of what went in.

CREATE TABLE trip_plans (
	trip_id VARCHAR(64) NOT NULL,
	client_id VARCHAR(64) NOT NULL,
	wishes JSON NOT NULL DEFAULT '[]',
	spare_changes TINYINT UNSIGNED NOT NULL DEFAULT 0,
	version INT UNSIGNED NOT NULL DEFAULT 1,
	wanted CHAR(64) NULL,
	answered CHAR(64) NULL,
	summary JSON NULL,
	state ENUM('none', 'wanted', 'working', 'there', 'failed') NOT NULL DEFAULT 'none',
	done SMALLINT UNSIGNED NOT NULL DEFAULT 0,
	total SMALLINT UNSIGNED NOT NULL DEFAULT 0,
	claimed_at DATETIME(3) NULL,
	PRIMARY KEY (trip_id, client_id),
	KEY plans_wanted (state, claimed_at),
	CONSTRAINT plans_of_trip FOREIGN KEY (trip_id) REFERENCES trips (id) ON DELETE CASCADE,
	CONSTRAINT plans_of_client FOREIGN KEY (client_id) REFERENCES clients (id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4;
